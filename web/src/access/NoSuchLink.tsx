// Where the address of a link leads whose code opens nothing, whether it never was one or is one no more.
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { DoorFrame } from '../people/index.ts'

export function NoSuchLink() {
  const { t } = useTranslation('reading')
  return (
    <DoorFrame title={t('closed.none')} lead={t('closed.noneText')}>
      <ToSignIn />
    </DoorFrame>
  )
}

export function ToSignIn() {
  const { t } = useTranslation('reading')
  return (
    <p>
      <Link href="/">{t('closed.signIn')}</Link>
    </p>
  )
}
