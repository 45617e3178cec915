// Writing a question sheet: its title, its questions in order, and what it looks like to whoever answers.
import { fieldOf, MOST_SHEET_QUESTIONS } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import type { OwnOffered } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { mergeSheets, sheetFaults } from '@valise/core/sheets'
import type { SheetContent } from '@valise/core/sheets'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import {
  newId,
  OfferedFoot,
  OfferedHead,
  partActs,
  PartCards,
  PublishOffered,
  useLanguages,
  useOffered,
} from '../offers/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { AddQuestion } from './AddQuestion.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'
import { QuestionSettings } from './QuestionSettings.tsx'
import { sheetApi } from './queries.ts'
import { TryOut } from './TryOut.tsx'
import { useWithin } from './useWithin.ts'

export function SheetBuilder({ sheet }: { readonly sheet: OwnOffered<SheetContent> }) {
  const { t, i18n } = useTranslation('sheets')
  const open = useOffered(sheetApi, sheet, mergeSheets)
  const { document: content, set } = open
  const spoken = useLanguages([content.title, ...content.questions.map(({ asks }) => asks)])
  const title = textIn(content.title, i18n.language) || t('list.untitled')
  const [fault] = sheetFaults(content)
  return (
    <Screen
      place={title}
      parent={t('list.place')}
      {...useWithin()}
      sentence={title}
      panel={<TryOut content={content} />}
      panelLabel={t('build.tryOut')}
    >
      <PublishOffered
        api={sheetApi}
        own={sheet}
        lacks={
          fault ? t(`faults.${fault.what}`, 'question' in fault ? { question: fault.question } : {}) : null
        }
        isSaved={open.delivery === 'delivered'}
      />
      <Refusal error={open.refused} />
      <OfferedHead content={content} spoken={spoken} onChange={(change) => set({ ...content, ...change })} />
      <Questions
        questions={content.questions}
        languages={spoken.languages}
        onChange={(questions) => set({ ...content, questions })}
      />
      <OfferedFoot
        canUndo={open.canUndo}
        onUndo={open.undo}
        bin={{ kind: 'sheet', id: sheet.id, title, leaveTo: '/sheets' }}
      />
    </Screen>
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
        <AddQuestion onAdd={add} />
      )}
    </>
  )
}
