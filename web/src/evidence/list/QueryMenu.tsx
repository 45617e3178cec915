// A menu that changes the search: opened by an underlined word of the sentence, or by a button below it.
import Button from '@mui/material/Button'
import Popover from '@mui/material/Popover'
import { useId, useState } from 'react'
import type { MouseEvent, ReactNode } from 'react'
import styles from './QuerySentence.module.css'

interface QueryMenuProps {
  /** The word that opens it. */
  readonly words: ReactNode
  /** With an icon it is a button; without, an underlined word of the sentence. */
  readonly icon?: ReactNode
  /** What the menu is about, for screen readers. */
  readonly label: string
  readonly children: (close: () => void) => ReactNode
}

export function QueryMenu({ words, icon, label, children }: QueryMenuProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const id = useId()
  const close = () => setAnchor(null)
  const opener = {
    'aria-haspopup': 'dialog',
    'aria-expanded': anchor !== null,
    'aria-describedby': id,
    onClick: (event: MouseEvent<HTMLElement>) => setAnchor(event.currentTarget),
  } as const
  return (
    <>
      {icon === undefined ? (
        <button {...opener} type="button" className={styles.word}>
          {words}
        </button>
      ) : (
        <Button {...opener} size="small" variant="text" startIcon={icon}>
          {words}
        </Button>
      )}
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
