// The address of a visitor link, to be copied; beside it stands who can open it.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconCopy } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Done } from '../ui/Done.tsx'
import styles from './GivePass.module.css'

export function LinkAddress({ path }: { readonly path: string }) {
  const { t } = useTranslation('access')
  const [isCopied, setIsCopied] = useState(false)
  const address = `${window.location.origin}${path}`
  const onCopy = async () => {
    await navigator.clipboard.writeText(address)
    setIsCopied(true)
  }
  return (
    <div className={styles.address}>
      <TextField
        size="small"
        fullWidth
        label={t('give.address')}
        value={address}
        onFocus={({ target }) => target.select()}
        slotProps={{ htmlInput: { readOnly: true } }}
      />
      <Button startIcon={<IconCopy size={18} stroke={1.7} />} onClick={() => void onCopy()}>
        {t('pass.copy')}
      </Button>
      <Done>{isCopied ? t('pass.copied') : null}</Done>
    </div>
  )
}
