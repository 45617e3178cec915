// What the result can be narrowed to, each with how many it would leave.
import { IconCopy, IconEye, IconLicense, IconUnlink } from '@tabler/icons-react'
import { evidenceMarks } from '@valise/core/evidence'
import type { EvidenceCounts, EvidenceMark, EvidenceQuery } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import styles from './MarkToggles.module.css'

interface MarkTogglesProps {
  readonly query: EvidenceQuery
  readonly counts: EvidenceCounts | undefined
  readonly onChange: (change: Partial<EvidenceQuery>) => void
}

export function MarkToggles({ query, counts, onChange }: MarkTogglesProps) {
  const { t } = useTranslation('evidence')
  const { marks } = query
  const toggle = (mark: EvidenceMark) =>
    onChange({ marks: marks.includes(mark) ? marks.filter((one) => one !== mark) : [...marks, mark] })
  return (
    <div className={styles.toggles} role="group" aria-label={t('marks.label')}>
      {evidenceMarks.map((mark) => (
        <button
          key={mark}
          type="button"
          className={styles.toggle}
          aria-pressed={marks.includes(mark)}
          onClick={() => toggle(mark)}
        >
          <MarkIcon mark={mark} />
          {t(`marks.${mark}`)}
          <b>{counts?.marks[mark] ?? ' '}</b>
        </button>
      ))}
      {query.likeId === null ? null : (
        <button
          type="button"
          className={styles.toggle}
          aria-pressed
          onClick={() => onChange({ likeId: null })}
        >
          <MarkIcon mark="alike" />
          {t('marks.likeOne')}
        </button>
      )}
    </div>
  )
}

function MarkIcon({ mark, size = 17 }: { readonly mark: EvidenceMark; readonly size?: number }) {
  if (mark === 'no-alternative') return <OwnIcon name="noalt" size={size} />
  const Icon = { unused: IconUnlink, 'no-rights': IconLicense, shared: IconEye, alike: IconCopy }[mark]
  return <Icon size={size} stroke={1.7} aria-hidden="true" />
}
