// Ticking the pages or collections that are to lie in a collection; those that lie in it already are not offered.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import { useQuery } from '@tanstack/react-query'
import type { Collection } from '@valise/core/collections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { accessQueries } from '../access/queries.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './Collections.module.css'

interface ThingsChooserProps {
  readonly kind: 'page' | 'collection'
  readonly collection: Collection
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function ThingsChooser({ kind, collection, onChoose, onClose }: ThingsChooserProps) {
  const { t } = useTranslation(['collections', 'things', 'app'])
  const when = useWhen()
  const sharing = useQuery(accessQueries.sharing())
  const [chosen, setChosen] = useState<readonly string[]>([])
  const isThere = new Set([collection.id, ...collection.things.map(({ id }) => id)])
  const toggle = (id: string) =>
    setChosen((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]))
  const stateOf = ({ publishedAt }: { readonly publishedAt: string | null }) =>
    publishedAt === null
      ? t('things:pages.draft')
      : t('things:pages.published', { date: when.date(publishedAt) })
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-things" fullWidth maxWidth="sm">
      <DialogTitle id="choose-things" variant="h2">
        {t(kind === 'page' ? 'add.choosePages' : 'add.chooseCollections')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={sharing}>
          {({ things }) => {
            const offered = things.filter((thing) => thing.kind === kind && !isThere.has(thing.id))
            if (offered.length === 0) return <p>{t(kind === 'page' ? 'add.noPages' : 'add.noCollections')}</p>
            return (
              <ul className={styles.choices}>
                {offered.map((thing) => (
                  <li key={thing.id}>
                    <FormControlLabel
                      control={
                        <Checkbox checked={chosen.includes(thing.id)} onChange={() => toggle(thing.id)} />
                      }
                      label={
                        <>
                          {thing.title || t(kind === 'page' ? 'things:pages.untitled' : 'untitled')}
                          {kind === 'page' ? <small>{stateOf(thing)}</small> : null}
                        </>
                      }
                    />
                  </li>
                ))}
              </ul>
            )
          }}
        </Fetched>
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
