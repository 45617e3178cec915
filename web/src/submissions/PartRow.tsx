// One chosen part: whether it goes in, which copy of it is sealed, and what can be done where something newer exists.
import Checkbox from '@mui/material/Checkbox'
import Link from '@mui/material/Link'
import { IconX } from '@tabler/icons-react'
import type { ChosenPart, ListedPart } from '@valise/core/submissions'
import { screenOf } from '@valise/core/things'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { partUiOf } from './parts/partsByKind.ts'
import styles from './Submit.module.css'

interface PartRowProps {
  readonly part: ListedPart
  readonly assignmentId: string
  readonly onChange: (change: (parts: readonly ChosenPart[]) => readonly ChosenPart[]) => void
}

export function PartRow({ part, assignmentId, onChange }: PartRowProps) {
  const { t } = useTranslation('submissions')
  const title = part.title || t('untitled')
  const { Icon: PartIcon, About } = partUiOf(part.kind)
  const aboutId = useId()
  // A page that was never published, an empty one, one in the bin: the line says why.
  const canGo = part.pieces > 0
  const change = (changed: Partial<ChosenPart>) =>
    onChange((parts) => parts.map((one) => (one.id === part.id ? { ...one, ...changed } : one)))
  return (
    <li className={styles.part}>
      <Checkbox
        size="small"
        checked={part.isIn && canGo}
        disabled={!canGo}
        slotProps={{
          input: {
            'aria-label': t('parts.include', { title }),
            ...(canGo ? {} : { 'aria-describedby': aboutId }),
          },
        }}
        onChange={() => change({ isIn: !part.isIn })}
      />
      <PartIcon part={part} />
      <div id={aboutId}>
        <p className={styles.name}>
          <Link component={RouterLink} to={screenOf(part.kind, part.id)} color="inherit" underline="hover">
            {title}
          </Link>
        </p>
        {part.isBinned ? (
          <p className={styles.care}>{t('parts.binned')}</p>
        ) : (
          <About part={part} assignmentId={assignmentId} onCopy={(copy) => change({ copy, isIn: true })} />
        )}
      </div>
      <button
        type="button"
        className={styles.takeOut}
        aria-label={t('parts.takeOut', { title })}
        onClick={() => onChange((parts) => parts.filter(({ id }) => id !== part.id))}
      >
        <IconX size={16} stroke={1.7} aria-hidden="true" />
      </button>
    </li>
  )
}
