// The title of the page, written where it stands.
import { LONGEST_PAGE_TITLE } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { useIsNew } from '../ui/useDiscardUntouched.ts'
import { usePage } from './usePageEditor.ts'

export function TitleLine() {
  const { t } = useTranslation('pages')
  const { draft, act, choose } = usePage()
  const isNew = useIsNew()
  return (
    <h1>
      <InlineTitle
        label={t('titleOf')}
        placeholder={t('titleHint')}
        most={LONGEST_PAGE_TITLE}
        value={draft.document.title}
        isFocused={isNew}
        onFocus={() => choose(null)}
        onChange={(title) => act([{ op: 'set-title', title }])}
      />
    </h1>
  )
}
