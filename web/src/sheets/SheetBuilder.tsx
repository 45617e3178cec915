// Writing a question sheet: its title, its questions in order, and what it looks like to whoever answers.
import { fieldOf, MOST_SHEET_QUESTIONS, sheetFieldKinds } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import type { OwnOffered } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { mergeSheets, sheetFaults } from '@valise/core/sheets'
import type { SheetContent } from '@valise/core/sheets'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { newId, OfferedBuilder, partActs, PartCards, useLanguages, useOffered } from '../offers/index.ts'
import { AddQuestion } from './AddQuestion.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'
import { QuestionSettings } from './QuestionSettings.tsx'
import { sheetApi } from './queries.ts'
import { TryOut } from './TryOut.tsx'
import { useWithin } from './useWithin.ts'

export function SheetBuilder({ sheet }: { readonly sheet: OwnOffered<SheetContent> }) {
  const { t } = useTranslation('sheets')
  const open = useOffered(sheetApi, sheet, mergeSheets)
  const { document: content, set } = open
  const spoken = useLanguages([content.title, ...content.questions.map(({ asks }) => asks)])
  const [fault] = sheetFaults(content)
  return (
    <OfferedBuilder
      api={sheetApi}
      kind="sheet"
      own={sheet}
      open={open}
      spoken={spoken}
      parent={t('list.place')}
      {...useWithin()}
      untitled={t('list.untitled')}
      lacks={
        fault ? t(`faults.${fault.what}`, 'question' in fault ? { question: fault.question } : {}) : null
      }
      panel={<TryOut content={content} />}
      panelLabel={t('build.tryOut')}
    >
      <Questions
        questions={content.questions}
        languages={spoken.languages}
        onChange={(questions) => set({ ...content, questions })}
      />
    </OfferedBuilder>
  )
}

interface QuestionsProps {
  readonly questions: readonly Question[]
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (questions: Question[]) => void
}

function Questions({ questions, languages, onChange }: QuestionsProps) {
  const { t, i18n } = useTranslation('sheets')
  const [openId, setOpenId] = useState<string | null>(null)
  const acts = partActs(questions, onChange)
  const add = (kind: FieldKind) => {
    const id = newId()
    // A field makes questions of its kind, which the compiler does not follow.
    acts.add(fieldOf({ kind }).create(id) as Question)
    setOpenId(id)
  }
  return (
    <>
      <PartCards
        label={t('build.questions')}
        parts={questions}
        openId={openId}
        onOpen={setOpenId}
        onMove={acts.move}
        onRemove={acts.remove}
        removeLabel={t('build.remove')}
        headOf={(question) => ({
          icon: fieldUiOf(question).icon,
          title: textIn(question.asks, i18n.language) || t('answer.unnamed'),
          facts: `${t(`kinds.${question.kind}`)}, ${t(`weight.${question.weight}`).toLowerCase()}`,
        })}
        body={(question) => (
          <QuestionSettings question={question} languages={languages} onChange={acts.change} />
        )}
      />
      {questions.length >= MOST_SHEET_QUESTIONS ? (
        <p>{t('build.full', { most: MOST_SHEET_QUESTIONS })}</p>
      ) : (
        <AddQuestion kinds={sheetFieldKinds} onAdd={add} />
      )}
    </>
  )
}
