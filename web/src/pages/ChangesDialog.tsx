// What publishing would change, piece by piece and word by word, and the act itself.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { lacksAlternative, placedPieces } from '@valise/core/pages'
import type { PageChange, WordChange } from '@valise/core/pages'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { usePublish } from './queries.ts'
import { usePage } from './usePageEditor.ts'
import styles from './ChangesDialog.module.css'

interface ChangesDialogProps {
  readonly changes: readonly PageChange[]
  readonly onClose: () => void
}

export function ChangesDialog({ changes, onClose }: ChangesDialogProps) {
  const { t } = useTranslation(['pages', 'app'])
  const { page, draft } = usePage()
  const publish = usePublish(page.id)
  const [isAway, setIsAway] = useState(false)
  const isFirst = page.published === null
  const undescribed = placedPieces(draft.document).filter(({ piece }) => lacksAlternative(piece)).length

  /** What is published is what is seen here, so all of it has to be there first. */
  const onPublish = async () => {
    setIsAway(false)
    draft.sync.deliverNow()
    if ((await draft.sync.settled()) !== 'delivered') return setIsAway(true)
    publish.mutate(draft.sync.state().revision, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} aria-labelledby="changes-title" maxWidth="sm" fullWidth>
      <DialogTitle id="changes-title" variant="h2">
        {isFirst ? t('changes.first') : t('changes.title', { count: changes.length })}
      </DialogTitle>
      <DialogContent>
        <p className={styles.lead}>{isFirst ? t('changes.firstLead') : t('changes.lead')}</p>
        {undescribed > 0 ? (
          <p className={styles.care}>{t('changes.undescribed', { count: undescribed })}</p>
        ) : null}
        <ul className={styles.list}>
          {changes.map((change, n) => (
            <ChangeLine key={`${n}-${change.what}`} change={change} />
          ))}
        </ul>
        {isAway ? <p role="alert">{t('changes.away')}</p> : null}
        <Refusal error={publish.error} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('changes.later')}
        </Button>
        <Button
          variant="contained"
          color="primary"
          loading={publish.isPending}
          disabled={changes.length === 0}
          onClick={() => void onPublish()}
        >
          {isFirst ? t('seam.publish') : t('seam.publishChanges', { count: changes.length })}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function ChangeLine({ change }: { readonly change: PageChange }) {
  const { t } = useTranslation('pages')
  if (change.what === 'title')
    return (
      <li>
        <b>{t('changes.titleOf')}</b>
        <p>
          <del>{change.before || t('untitled')}</del> <ins>{change.after || t('untitled')}</ins>
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
          {change.words.map((part, n) => (
            <Words key={`${n}-${part.how}`} part={part} />
          ))}
        </p>
      ) : null}
    </li>
  )
}

const AROUND = 60

/** Words that stayed are shown only as far as they tell where one is. */
function Words({ part }: { readonly part: WordChange }) {
  if (part.how === 'added') return <ins>{part.words}</ins>
  if (part.how === 'removed') return <del>{part.words}</del>
  const { words } = part
  return words.length > 2 * AROUND ? `${words.slice(0, AROUND)} … ${words.slice(-AROUND)}` : words
}
