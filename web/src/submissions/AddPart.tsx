// Choosing more parts: things of one's own that are not listed yet.
import Button from '@mui/material/Button'
import { IconPlus } from '@tabler/icons-react'
import { MOST_PARTS } from '@valise/core/submissions'
import type { ChosenPart, ListedPart } from '@valise/core/submissions'
import type { PartKind } from '@valise/core/things'
import { Suspense, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { offeredParts } from './parts/partsByKind.ts'
import styles from './Submit.module.css'

interface AddPartProps {
  /** What is gathered on the way is made for it. */
  readonly assignmentId: string
  readonly parts: readonly ListedPart[]
  readonly onAdd: (parts: readonly ChosenPart[]) => void
}

export function AddPart({ assignmentId, parts, onAdd }: AddPartProps) {
  const { t } = useTranslation('submissions')
  const [choosing, setChoosing] = useState<PartKind | null>(null)
  const onClose = () => setChoosing(null)
  const add = (kind: PartKind, ids: readonly string[]) => {
    const added = ids.filter((id) => !parts.some((part) => part.id === id))
    onAdd(added.map((id) => ({ kind, id, isIn: true, copy: 'published' as const })))
    onClose()
  }
  if (parts.length >= MOST_PARTS) return <p className={styles.quiet}>{t('add.full', { most: MOST_PARTS })}</p>
  const Chooser = offeredParts.find(({ kind }) => kind === choosing)?.Chooser
  return (
    <div className={styles.add} role="group" aria-label={t('add.label')}>
      {offeredParts.map(({ kind, add: addOf }) => (
        <Button
          key={kind}
          size="small"
          startIcon={<IconPlus size={16} stroke={1.7} />}
          onClick={() => setChoosing(kind)}
        >
          {t(addOf)}
        </Button>
      ))}
      <Suspense fallback={null}>
        {choosing && Chooser ? (
          <Chooser
            assignmentId={assignmentId}
            listed={parts.map(({ id }) => id)}
            onChoose={(ids) => add(choosing, ids)}
            onClose={onClose}
          />
        ) : null}
      </Suspense>
    </div>
  )
}
