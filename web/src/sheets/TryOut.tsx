// Trying a sheet out beside where it is written: answered as by a student, and saved nowhere.
import { applyOperations } from '@valise/core/pages'
import type { AnswerPiece, PageDocument } from '@valise/core/pages'
import { answersOf, changeSheet, newEntryDocument } from '@valise/core/reflections'
import type { SheetContent } from '@valise/core/sheets'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { useStableActs } from '../ui/useStableActs.ts'
import { AnswerColumn } from './AnswerColumn.tsx'
import styles from './Sheets.module.css'

/** Answers of a try-out belong to no sheet that there is. */
const TRIED = '00000000-0000-7000-8000-000000000000'
const writing = { fromElsewhere: 0, registerFlush: () => () => undefined }

export function TryOut({ content }: { readonly content: SheetContent }) {
  const { t, i18n } = useTranslation('sheets')
  const lang = i18n.language === 'es' ? 'es' : 'en'
  const [written, setWritten] = useState<PageDocument>(() =>
    newEntryDocument({ title: '', lang, textId: TRIED }),
  )
  const version = { id: TRIED, n: 1, source: 'mine' as const, content }
  const document = applyOperations(written, changeSheet(written, version)) ?? written
  const acts = useStableActs({
    onPiece: (piece: AnswerPiece) =>
      setWritten(applyOperations(document, [{ op: 'set-piece', piece }]) ?? document),
  })
  const answers = answersOf(document).filter(({ isAsked }) => isAsked)
  return (
    <section className={styles.tryOut} aria-label={t('build.tryOut')}>
      <h2>{t('build.tryOut')}</h2>
      <p>{t('build.tryOutHint')}</p>
      {answers.length === 0 ? (
        <Empty>{t('build.tryOutEmpty')}</Empty>
      ) : (
        <AnswerColumn
          answers={answers}
          heading="h3"
          lang={lang}
          place="/try-out"
          writing={writing}
          beside={() => <StitchedBox>{t('build.evidenceHere')}</StitchedBox>}
          onPiece={acts.onPiece}
        />
      )}
    </section>
  )
}
