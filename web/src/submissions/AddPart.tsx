// Choosing more parts: pages, entries and evidence of one's own that are not listed yet.
import Button from '@mui/material/Button'
import { IconPlus } from '@tabler/icons-react'
import { evidenceKinds } from '@valise/core/evidence'
import { MOST_PARTS } from '@valise/core/submissions'
import type { PartKind } from '@valise/core/assignments'
import type { ChosenPart, ListedPart } from '@valise/core/submissions'
import { lazy, Suspense, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { needWords } from '../words/i18n.ts'
import styles from './Submit.module.css'

const PageChooser = lazy(async () => ({ default: (await import('./PageChooser.tsx')).PageChooser }))
const EntryChooser = lazy(async () => {
  await needWords('pages')
  return { default: (await import('../reflections/EntryChooser.tsx')).EntryChooser }
})
const EvidenceChooser = lazy(async () => {
  await needWords('pages')
  await needWords('evidence')
  return { default: (await import('../evidence/EvidenceChooser.tsx')).EvidenceChooser }
})

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
  return (
    <div className={styles.add} role="group" aria-label={t('add.label')}>
      <Button
        size="small"
        startIcon={<IconPlus size={16} stroke={1.7} />}
        onClick={() => setChoosing('page')}
      >
        {t('add.page')}
      </Button>
      <Button
        size="small"
        startIcon={<IconPlus size={16} stroke={1.7} />}
        onClick={() => setChoosing('entry')}
      >
        {t('add.entry')}
      </Button>
      <Button
        size="small"
        startIcon={<IconPlus size={16} stroke={1.7} />}
        onClick={() => setChoosing('evidence')}
      >
        {t('add.evidence')}
      </Button>
      <Suspense fallback={null}>
        {choosing === 'page' ? (
          <PageChooser
            listed={parts.map(({ id }) => id)}
            onChoose={(ids) => add('page', ids)}
            onClose={onClose}
          />
        ) : null}
        {choosing === 'entry' ? (
          <EntryChooser onChoose={(id) => add('entry', [id])} onClose={onClose} />
        ) : null}
        {choosing === 'evidence' ? (
          <EvidenceChooser
            kinds={evidenceKinds}
            assignmentId={assignmentId}
            onChoose={({ id }) => add('evidence', [id])}
            onClose={onClose}
          />
        ) : null}
      </Suspense>
    </div>
  )
}
