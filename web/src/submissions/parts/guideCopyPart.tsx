// Copies of guides in the hand-in: the guide says what goes in, so that nothing is chosen.
import { IconRoute } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import type { PartUi } from './PartUi.ts'

export const guideCopyPart: PartUi = {
  chosen: null,
  Icon: () => <IconRoute size={18} stroke={1.7} aria-hidden="true" />,
  About: AsItIs,
}

function AsItIs() {
  const { t } = useTranslation('submissions')
  return <p>{t('parts.guideCopy')}</p>
}
