// The title of the page, written where it stands.
import { LONGEST_PAGE_TITLE } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { usePage } from './usePageEditor.ts'
import styles from './TitleLine.module.css'

export function TitleLine() {
  const { t } = useTranslation('pages')
  const { draft, act, choose } = usePage()
  return (
    <h1>
      <textarea
        className={styles.title}
        rows={1}
        maxLength={LONGEST_PAGE_TITLE}
        aria-label={t('titleOf')}
        placeholder={t('titleHint')}
        value={draft.document.title}
        onFocus={() => choose(null)}
        onChange={(event) => act([{ op: 'set-title', title: event.target.value.replaceAll('\n', ' ') }])}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.preventDefault()
        }}
      />
    </h1>
  )
}
