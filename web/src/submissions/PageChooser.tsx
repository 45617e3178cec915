// Ticking the pages that are to go in; those that are listed already are not offered.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { pageQueries } from '../pages/queries.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './Submit.module.css'

interface PageChooserProps {
  readonly listed: readonly string[]
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function PageChooser({ listed, onChoose, onClose }: PageChooserProps) {
  const { t } = useTranslation(['submissions', 'things', 'app'])
  const when = useWhen()
  const list = useInfiniteQuery(pageQueries.list('kept'))
  const offered = (list.data?.pages.flatMap((page) => page.items) ?? []).filter(
    ({ id }) => !listed.includes(id),
  )
  const [chosen, setChosen] = useState<readonly string[]>([])
  const toggle = (id: string) =>
    setChosen((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]))
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-pages" fullWidth maxWidth="sm">
      <DialogTitle id="choose-pages" variant="h2">
        {t('add.choosePages')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={list}>
          {() =>
            offered.length === 0 ? (
              <p>{t('add.noPages')}</p>
            ) : (
              <ul className={styles.choices}>
                {offered.map(({ id, title, publishedAt }) => (
                  <li key={id}>
                    <label>
                      <Checkbox checked={chosen.includes(id)} onChange={() => toggle(id)} />
                      <span>
                        {title || t('things:pages.untitled')}
                        <small>
                          {publishedAt === null
                            ? t('things:pages.draft')
                            : t('things:pages.published', { date: when.date(publishedAt) })}
                        </small>
                      </span>
                    </label>
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
        <Button
          variant="contained"
          color="primary"
          disabled={chosen.length === 0}
          onClick={() => onChoose(chosen)}
        >
          {t('add.chosen', { count: chosen.length })}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
