// Readiness: what is missing stands first, on apricot, and is put right in a drawer under its row.
import Button from '@mui/material/Button'
import { IconCheck } from '@tabler/icons-react'
import type { CheckedRequirement } from '@valise/core/assignments'
import { gapsOf } from '@valise/core/submissions'
import type { HandIn } from '@valise/core/submissions'
import { Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { useSearchParams } from 'react-router'
import { ReadinessDashes } from '../ui/ReadinessDashes.tsx'
import { uiOf } from './requirements/uiByKind.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './Readiness.module.css'

export function ReadinessList({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation(['submissions', 'work'])
  const { readiness } = handIn
  const there = readiness.filter(({ result }) => result.isThere)
  // Which one is being mended lies in the address, so that Today can lead right to it.
  const [search, setSearch] = useSearchParams()
  const open = search.get('mend')
  const setOpen = (id: string | null) => setSearch(id === null ? {} : { mend: id }, { replace: true })
  // What was just mended stays where it was until its drawer is closed.
  const isShownAsGap = ({ requirement, result }: CheckedRequirement) =>
    !result.isThere || requirement.id === open
  const asGaps = readiness.map((one) =>
    isShownAsGap(one) ? ({ ...one, result: { ...one.result, isThere: false } } as CheckedRequirement) : one,
  )
  const inOrder = gapsOf(asGaps).map(({ requirement }) => requirement.id)
  const rows = [
    ...inOrder.flatMap((id) => readiness.filter(({ requirement }) => requirement.id === id)),
    ...readiness.filter((one) => !isShownAsGap(one)),
  ]
  return (
    <section className={styles.readiness} aria-labelledby="readiness">
      <div className={styles.heading}>
        <h2 id="readiness">{t('readiness.title')}</h2>
        {readiness.length > 0 ? (
          <>
            <ReadinessDashes there={there.length} of={readiness.length} />
            <b>{t('work:readiness.there', { there: there.length, of: readiness.length })}</b>
          </>
        ) : null}
      </div>
      {readiness.length === 0 ? <p className={styles.quiet}>{t('readiness.nothingAsked')}</p> : null}
      <ul className={styles.list}>
        {rows.map((checked, at) => (
          <Row
            key={checked.requirement.id}
            checked={checked}
            band={isShownAsGap(checked) ? at : null}
            handIn={handIn}
            isOpen={open === checked.requirement.id}
            onOpen={(isOpen) => setOpen(isOpen ? checked.requirement.id : null)}
          />
        ))}
      </ul>
    </section>
  )
}

interface RowProps {
  readonly checked: CheckedRequirement
  /** Which gap it is, from 0: where two bands touch, the second is the lighter one. */
  readonly band: number | null
  readonly handIn: HandIn
  readonly isOpen: boolean
  readonly onOpen: (isOpen: boolean) => void
}

function Row({ checked, band, handIn, isOpen, onOpen }: RowProps) {
  const { t } = useTranslation(['submissions', 'work'])
  const words = useSubmissionWords()
  const { requirement, result } = checked
  const { Fix } = uiOf(requirement.kind)
  return (
    <li
      className={styles.row}
      data-there={result.isThere}
      {...(band !== null && { 'data-band': band % 2 === 0 ? 'first' : 'second' })}
    >
      <div className={styles.line}>
        <span className={styles.bar} />
        <div className={styles.words}>
          <small className={styles.weight} data-weight={requirement.weight}>
            {t(`work:weights.${requirement.weight}`)}
          </small>
          <b>{words.wanted(requirement)}</b>
          <span>{words.found(checked)}</span>
        </div>
        {result.isThere && !isOpen ? (
          <span className={styles.there}>
            <IconCheck size={16} stroke={2} aria-hidden="true" />
            {t('readiness.isThere')}
          </span>
        ) : (
          <Button size="small" aria-expanded={isOpen} onClick={() => onOpen(!isOpen)}>
            {isOpen ? t('readiness.close') : t(`work:mend.${requirement.kind}`)}
          </Button>
        )}
      </div>
      {isOpen ? (
        <div className={styles.drawer}>
          {result.isThere ? (
            <p className={styles.done} role="status">
              <IconCheck size={16} stroke={2} aria-hidden="true" />
              {t('readiness.isThere')}
            </p>
          ) : null}
          <Suspense fallback={null}>
            <Fix checked={checked} handIn={handIn} />
          </Suspense>
        </div>
      ) : null}
    </li>
  )
}
