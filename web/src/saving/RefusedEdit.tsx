// A change that will never be taken: what is wrong with it, and the way on.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import type { OpenDraft } from './useDraft.ts'

export function RefusedEdit({ draft }: { readonly draft: OpenDraft }) {
  const { t } = useTranslation('pages')
  if (draft.delivery !== 'refused') return null
  return (
    <div>
      <Refusal error={draft.error} />
      <Button size="small" onClick={() => draft.sync.deliverNow()}>
        {t('refused.again')}
      </Button>{' '}
      <Button size="small" variant="text" onClick={() => draft.sync.dropRefused()}>
        {t('refused.drop')}
      </Button>
    </div>
  )
}
