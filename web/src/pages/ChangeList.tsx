// The changes between two states of a page: structure first, then words.
import type { PageChange, WordChange } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { localeOf } from '../ui/localeOf.ts'
import styles from './ChangesDialog.module.css'

export function ChangeList({ changes }: { readonly changes: readonly PageChange[] }) {
  return (
    <ul className={styles.list}>
      {changes.map((change, n) => (
        <ChangeLine key={`${n}-${change.what}`} change={change} />
      ))}
    </ul>
  )
}

function ChangeLine({ change }: { readonly change: PageChange }) {
  const { t, i18n } = useTranslation('pages')
  const languages = new Intl.DisplayNames(localeOf(i18n.language), { type: 'language' })
  if (change.what === 'title')
    return (
      <li>
        <b>{t('changes.titleOf')}</b>
        <p>
          <del>{change.before || t('untitled')}</del> <ins>{change.after || t('untitled')}</ins>
        </p>
      </li>
    )
  if (change.what === 'language')
    return (
      <li>
        <b>{t('changes.language')}</b>
        <p>
          <del>{languages.of(change.before)}</del> <ins>{languages.of(change.after)}</ins>
        </p>
      </li>
    )
  if (change.what === 'row-moved')
    return (
      <li>
        <b>{t('changes.rowMoved', { row: change.row })}</b>
      </li>
    )
  const kind = t(`kinds.${change.kind}`)
  const thing = change.name ? t('changes.named', { kind, name: change.name }) : kind
  return (
    <li>
      <b>{t(`changes.${change.what}`, { thing, row: change.row })}</b>
      {change.words.length > 0 ? (
        <p>
          {change.words.map((run, n) => (
            <Words key={`${n}-${run.how}`} run={run} />
          ))}
        </p>
      ) : null}
    </li>
  )
}

const AROUND = 60

/** Words that stayed are shown only as far as they tell where one is. */
function Words({ run }: { readonly run: WordChange }) {
  if (run.how === 'added') return <ins>{run.words}</ins>
  if (run.how === 'removed') return <del>{run.words}</del>
  const { words } = run
  return words.length > 2 * AROUND ? `${words.slice(0, AROUND)} … ${words.slice(-AROUND)}` : words
}
