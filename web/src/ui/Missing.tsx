// What an address shows that leads to nothing, or to nothing that one may see: the same.
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'

export function Missing() {
  const { t } = useTranslation()
  return (
    <div>
      <Typography variant="h1" sx={{ mb: 3 }}>
        {t('states.missingTitle')}
      </Typography>
      <Typography sx={{ maxWidth: '60ch', mb: 4 }}>{t('states.missingText')}</Typography>
      <Link component={RouterLink} to="/">
        {t('states.toToday')}
      </Link>
    </div>
  )
}
