// Readiness: what is missing stands first, on apricot, and is mended in a drawer under its row.
import Button from '@mui/material/Button'
import { IconCheck } from '@tabler/icons-react'
import type { Requirement } from '@valise/core/assignments'
import { gapsOf } from '@valise/core/submissions'
import type { HandIn, ReadinessLine } from '@valise/core/submissions'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { useSearchParams } from 'react-router'
import { ReadinessDashes } from '../ui/ReadinessDashes.tsx'
import { needWords } from '../words/i18n.ts'
import { MendPage } from './MendPage.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './Readiness.module.css'

const MendRights = lazy(async () => {
  await needWords('evidence')
  return { default: (await import('./MendRights.tsx')).MendRights }
})
const MendStatement = lazy(async () => {
  await needWords('evidence')
  return { default: (await import('./MendStatement.tsx')).MendStatement }
})

export function ReadinessList({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation(['submissions', 'work'])
  const { readiness } = handIn
  const there = readiness.filter(({ isThere }) => isThere)
  // Which one is being mended lies in the address, so that Today can lead right to it.
  const [search, setSearch] = useSearchParams()
  const open = search.get('mend')
  const setOpen = (id: string | null) => setSearch(id === null ? {} : { mend: id }, { replace: true })
  // What was just mended stays where it was until its drawer is closed.
  const isShownAsGap = (line: ReadinessLine) => !line.isThere || line.id === open
  const rows = [...gapsOf(readiness.map((line) => (isShownAsGap(line) ? { ...line, isThere: false } : line)))]
  const lines = [
    ...rows.map(({ id }) => readiness.find((line) => line.id === id)),
    ...readiness.filter((line) => !isShownAsGap(line)),
  ].filter((line) => line !== undefined)
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
        {lines.map((line, at) => (
          <Row
            key={line.id}
            line={line}
            band={isShownAsGap(line) ? at : null}
            requirement={handIn.assignment.requirements.find(({ id }) => id === line.id)}
            handIn={handIn}
            isOpen={open === line.id}
            onOpen={(isOpen) => setOpen(isOpen ? line.id : null)}
          />
        ))}
      </ul>
    </section>
  )
}

interface RowProps {
  readonly line: ReadinessLine
  /** Which gap it is, from 0: where two bands touch, the second is the lighter one. */
  readonly band: number | null
  readonly requirement: Requirement | undefined
  readonly handIn: HandIn
  readonly isOpen: boolean
  readonly onOpen: (isOpen: boolean) => void
}

function Row({ line, band, requirement, handIn, isOpen, onOpen }: RowProps) {
  const { t } = useTranslation(['submissions', 'work'])
  const words = useSubmissionWords()
  const name = requirement ? words.wanted(requirement) : ''
  return (
    <li
      className={styles.row}
      data-there={line.isThere}
      {...(band !== null && { 'data-band': band % 2 === 0 ? 'first' : 'second' })}
    >
      <div className={styles.line}>
        <span className={styles.bar} />
        <div className={styles.words}>
          <small className={styles.weight} data-weight={line.weight}>
            {t(`work:weights.${line.weight}`)}
          </small>
          <b>{name}</b>
          <span>{words.found(line, requirement)}</span>
        </div>
        {line.isThere && !isOpen ? (
          <span className={styles.there}>
            <IconCheck size={16} stroke={2} aria-hidden="true" />
            {t('readiness.isThere')}
          </span>
        ) : (
          <Button size="small" aria-expanded={isOpen} onClick={() => onOpen(!isOpen)}>
            {isOpen ? t('readiness.close') : t(`work:mend.${line.kind}`)}
          </Button>
        )}
      </div>
      {isOpen ? (
        <div className={styles.drawer}>
          {line.isThere ? (
            <p className={styles.done} role="status">
              <IconCheck size={16} stroke={2} aria-hidden="true" />
              {t('readiness.isThere')}
            </p>
          ) : null}
          <Suspense fallback={null}>
            {line.kind === 'page' ? <MendPage line={line} handIn={handIn} /> : null}
            {line.kind === 'statement' && requirement?.kind === 'statement' ? (
              <MendStatement line={line} requirement={requirement} handIn={handIn} />
            ) : null}
            {line.kind === 'rights' ? <MendRights line={line} /> : null}
          </Suspense>
        </div>
      ) : null}
    </li>
  )
}
