// What stands where a screen broke: what happened, what is safe, what to do.
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useTranslation } from 'react-i18next'

export function Broken() {
  const { t } = useTranslation()
  return (
    <div style={{ padding: 28 }} role="alert">
      <Typography variant="h1" sx={{ mb: 3 }}>
        {t('states.brokenTitle')}
      </Typography>
      <Typography sx={{ mb: 4 }}>{t('states.brokenText')}</Typography>
      <Button onClick={() => window.location.reload()}>{t('states.reload')}</Button>
    </div>
  )
}
