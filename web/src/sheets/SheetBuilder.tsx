// Writing a question sheet: its title, its questions in order, and what it looks like to whoever answers.
import { DndContext } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { IconArrowBackUp } from '@tabler/icons-react'
import { LONGEST_SHEET_TITLE, MOST_SHEET_QUESTIONS } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { LONGEST_SHEET_ABOUT } from '@valise/core/sheets'
import type { OwnSheet, SheetContent } from '@valise/core/sheets'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { PutInBin } from '../bin/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { AddQuestion } from './AddQuestion.tsx'
import { LocalizedField } from './LocalizedField.tsx'
import { PublishSheet } from './PublishSheet.tsx'
import { QuestionCard } from './QuestionCard.tsx'
import { TryOut } from './TryOut.tsx'
import { useQuestionDrag } from './useQuestionDrag.ts'
import { useWithin } from './useWithin.ts'
import { useSheet } from './useSheet.ts'
import styles from './Sheets.module.css'

export function SheetBuilder({ sheet }: { readonly sheet: OwnSheet }) {
  const { t, i18n } = useTranslation('sheets')
  const open = useSheet(sheet)
  const { document: content } = open
  const [openId, setOpenId] = useState<string | null>(null)
  const { languages, isBoth, setIsBoth } = useLanguages(content)
  const title = textIn(content.title, i18n.language) || t('list.untitled')
  const isFull = content.questions.length >= MOST_SHEET_QUESTIONS
  return (
    <Screen
      place={title}
      parent={t('list.place')}
      {...useWithin()}
      sentence={title}
      panel={<TryOut content={content} />}
      panelLabel={t('build.tryOut')}
    >
      <PublishSheet sheet={sheet} content={content} isSaved={open.delivery === 'delivered'} />
      <Refusal error={open.refused} />
      <div className={styles.about}>
        <LocalizedField
          label={t('build.title')}
          most={LONGEST_SHEET_TITLE}
          languages={languages}
          value={content.title}
          onChange={(next) => open.set({ ...content, title: next })}
        />
        <LocalizedField
          label={t('build.about')}
          most={LONGEST_SHEET_ABOUT}
          languages={languages}
          isLong
          value={content.about}
          onChange={(about) => open.set({ ...content, about })}
        />
        <FormControlLabel
          control={<Checkbox checked={isBoth} onChange={(event) => setIsBoth(event.target.checked)} />}
          label={t('build.both')}
        />
      </div>
      <Questions open={open} languages={languages} openId={openId} onOpen={setOpenId} />
      {isFull ? (
        <p>{t('build.full', { most: MOST_SHEET_QUESTIONS })}</p>
      ) : (
        <AddQuestion onAdd={(kind) => setOpenId(open.add(kind))} />
      )}
      <div className={styles.foot}>
        <Button
          variant="text"
          startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
          disabled={!open.canUndo}
          onClick={open.undo}
        >
          {t('build.undo')}
        </Button>
        <PutInBin kind="sheet" id={sheet.id} title={title} leaveTo="/sheets" />
      </div>
    </Screen>
  )
}

interface QuestionsProps {
  readonly open: ReturnType<typeof useSheet>
  readonly languages: readonly ('en' | 'es')[]
  readonly openId: string | null
  readonly onOpen: (id: string | null) => void
}

function Questions({ open, languages, openId, onOpen }: QuestionsProps) {
  const { t } = useTranslation('sheets')
  const { questions } = open.document
  const drag = useQuestionDrag(questions, open.move)
  return (
    <section aria-label={t('build.questions')}>
      <p className="only-heard" role="status">
        {drag.said}
      </p>
      <DndContext
        sensors={drag.sensors}
        onDragEnd={drag.onDragEnd}
        accessibility={{
          announcements: drag.announcements,
          screenReaderInstructions: { draggable: t('build.howToMove') },
        }}
      >
        <SortableContext items={drag.ids} strategy={verticalListSortingStrategy}>
          <ol className={styles.cards}>
            {questions.map((question, n) => (
              <QuestionCard
                key={question.id}
                question={question}
                n={n + 1}
                count={questions.length}
                languages={languages}
                isOpen={openId === question.id}
                onToggle={() => onOpen(openId === question.id ? null : question.id)}
                onChange={open.change}
                onRemove={() => open.remove(question.id)}
                onStep={(by) => drag.step(question.id, by)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  )
}

/** Which languages a sheet is written in: those that it has, or that of the interface. */
function useLanguages({ title, questions }: SheetContent) {
  const { i18n } = useTranslation()
  const own = i18n.language === 'es' ? ('es' as const) : ('en' as const)
  const texts = [title, ...questions.map(({ asks }) => asks)]
  const has = (language: 'en' | 'es') => texts.some((text) => (text[language] ?? '') !== '')
  const [isBoth, setIsBoth] = useState(has('en') && has('es'))
  const other = own === 'es' ? ('en' as const) : ('es' as const)
  const first = has(other) && !has(own) ? other : own
  const languages = isBoth ? (['en', 'es'] as const) : ([first] as const)
  return { languages, isBoth, setIsBoth }
}
