// A dialog in which some of a list are ticked and then taken all at once.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useId, useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './TickDialog.module.css'

export interface TickChoice {
  readonly id: string
  readonly name: string
  readonly about?: string
}

interface TickDialogProps {
  readonly title: string
  /** What the act says while so many are ticked. */
  readonly verb: (count: number) => string
  /** The list as it stands inside, once its choices are known: `list(choices)`. */
  readonly children: (list: (choices: readonly TickChoice[], empty: string) => ReactNode) => ReactNode
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function TickDialog({ title, verb, children, onChoose, onClose }: TickDialogProps) {
  const { t } = useTranslation('app')
  const titleId = useId()
  const [ticked, setTicked] = useState<readonly string[]>([])
  const toggle = (id: string) =>
    setTicked((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]))
  const list = (choices: readonly TickChoice[], empty: string) =>
    choices.length === 0 ? (
      <p>{empty}</p>
    ) : (
      <ul className={styles.choices}>
        {choices.map(({ id, name, about }) => (
          <li key={id}>
            <label>
              <Checkbox checked={ticked.includes(id)} onChange={() => toggle(id)} />
              <span>
                {name}
                {about === undefined ? null : <small>{about}</small>}
              </span>
            </label>
          </li>
        ))}
      </ul>
    )
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {title}
      </DialogTitle>
      <DialogContent>{children(list)}</DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('actions.cancel')}
        </Button>
        <Button
          variant="contained"
          color="primary"
          disabled={ticked.length === 0}
          onClick={() => onChoose(ticked)}
        >
          {verb(ticked.length)}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
