// What goes in: every chosen part with the copy that is sealed, and a way to choose more.
import Checkbox from '@mui/material/Checkbox'
import type { HandIn } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { useSize } from '../ui/useSize.ts'
import { AddPart } from './AddPart.tsx'
import { PartRow } from './PartRow.tsx'
import { useChoose } from './acts.ts'
import styles from './Submit.module.css'

export function PartsList({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation('submissions')
  const size = useSize()
  const { assignment, parts, totals } = handIn
  const choose = useChoose(assignment.id)
  const able = parts.filter(({ pieces }) => pieces > 0)
  const isAll = able.length > 0 && able.every(({ isIn }) => isIn)
  const onAll = () => choose.mutate((all) => all.map((part) => ({ ...part, isIn: !isAll })))
  return (
    <section className={styles.parts} aria-labelledby="parts">
      <div className={styles.heading}>
        <h2 id="parts">{t('parts.title')}</h2>
        <span>{t('parts.goIn', { count: parts.length, going: totals.parts })}</span>
      </div>
      {parts.length === 0 ? (
        <p className={styles.quiet}>{t('parts.empty')}</p>
      ) : (
        <ul className={styles.list}>
          <li className={styles.all}>
            <label>
              <Checkbox
                size="small"
                checked={isAll}
                disabled={able.length === 0}
                indeterminate={!isAll && able.some(({ isIn }) => isIn)}
                onChange={onAll}
              />
              <span>
                <b>{t('parts.all')}</b> {t('parts.allHint')}
              </span>
            </label>
          </li>
          {parts.map((part) => (
            <PartRow key={part.id} part={part} assignmentId={assignment.id} onChange={choose.mutate} />
          ))}
        </ul>
      )}
      <Refusal error={choose.error} />
      <AddPart
        assignmentId={assignment.id}
        parts={parts}
        onAdd={(added) => choose.mutate((all) => [...all, ...added])}
      />
      <div className={styles.sealed}>
        <h3>{t('parts.whatTitle')}</h3>
        <p>
          {totals.parts === 0
            ? t('parts.whatNothing')
            : t('parts.what', {
                count: totals.parts,
                pieces: t('parts.pieces', { count: totals.pieces }),
                files: t('parts.files', { count: totals.files }),
                size: size(totals.bytes),
              })}
        </p>
      </div>
    </section>
  )
}
