// Choosing an entry of one's logbooks, for a page that is to show it.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { reflectionQueries } from './queries.ts'
import styles from './Reflections.module.css'

interface EntryChooserProps {
  readonly onChoose: (entryId: string) => void
  readonly onClose: () => void
}

export function EntryChooser({ onChoose, onClose }: EntryChooserProps) {
  const { t } = useTranslation(['pages', 'app'])
  const when = useWhen()
  const list = useInfiniteQuery(reflectionQueries.entries())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-entry" maxWidth="sm" fullWidth>
      <DialogTitle id="choose-entry" variant="h2">
        {t('chooser.entry')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={list}>
          {() =>
            items.length === 0 ? (
              <p>{t('chooser.noEntries')}</p>
            ) : (
              <ul className={styles.choices}>
                {items.map((entry) => (
                  <li key={entry.id}>
                    <button
                      type="button"
                      onClick={() => {
                        onChoose(entry.id)
                        onClose()
                      }}
                    >
                      <b>{entry.title || t('chooser.untitledEntry')}</b>
                      <small>{when.localDay(entry.day)}</small>
                      <span>{entry.beginning}</span>
                    </button>
                  </li>
                ))}
              </ul>
            )
          }
        </Fetched>
        <MoreButton query={list} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
