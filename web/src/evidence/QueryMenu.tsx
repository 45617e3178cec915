// An underlined word of the query sentence, with the menu that it opens.
import Popover from '@mui/material/Popover'
import { useId, useState } from 'react'
import type { ReactNode } from 'react'
import styles from './QuerySentence.module.css'

interface QueryMenuProps {
  /** The word in the sentence. */
  readonly words: ReactNode
  /** What the menu is about, for screen readers. */
  readonly label: string
  readonly children: (close: () => void) => ReactNode
}

export function QueryMenu({ words, label, children }: QueryMenuProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const id = useId()
  const close = () => setAnchor(null)
  return (
    <>
      <button
        type="button"
        className={styles.part}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        aria-describedby={id}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {words}
      </button>
      <span id={id} hidden>
        {label}
      </span>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { className: styles.menu ?? '', role: 'dialog', 'aria-label': label } }}
      >
        {children(close)}
      </Popover>
    </>
  )
}
