// One stage on paper: its instructions and questions in their order. A stage that has closed is read.
import type { Stage, StageOnRoute } from '@valise/core/guides'
import { isInstruction, rowsOf } from '@valise/core/guides'
import { renderRow } from '@valise/core/pages'
import type { AnswerInEntry } from '@valise/core/reflections'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { draftView } from '../evidence/base/index.ts'
import { AnswerField, Answered } from '../sheets/index.ts'
import { FeedbackList } from './FeedbackList.tsx'
import { InstructionView } from './InstructionView.tsx'
import { copyPath } from './starting.ts'
import { Slot } from './slots/Slot.tsx'
import type { GuideCopyEditor } from './useGuideCopy.ts'
import { useGuideWords } from './useGuideWords.ts'
import { useStagePlaces } from './useStagePlaces.ts'
import styles from './Guides.module.css'

interface StageColumnProps {
  readonly editor: GuideCopyEditor
  readonly stage: Stage
  readonly state: StageOnRoute
}

export function StageColumn({ editor, stage, state }: StageColumnProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const { copy, draft } = editor
  // What was being typed when it closed is passed on as its field goes.
  const isLocked = state.phase === 'closed'
  const asked = new Set(stage.blocks.map(({ id }) => id))
  const answers = editor.answers.filter(({ piece }) => asked.has(piece.given.question.id))
  const said = copy.feedback.filter((one) => one.stageId === stage.id && one.pieceId === null)
  return (
    <section className={styles.stage} aria-labelledby="stage">
      <h2 id="stage">{words.text(stage.name) || t('stage.untitled')}</h2>
      <p className={styles.times}>{words.times(state)}</p>
      {isLocked ? <p className={styles.locked}>{t('copy.closed')}</p> : <Answered answers={answers} />}
      <FeedbackList feedback={said} />
      {stage.blocks.map((block) => {
        if (isInstruction(block))
          return (
            <InstructionView
              key={block.id}
              instruction={block}
              shown={copy.instructions}
              guideId={copy.guideId}
            />
          )
        const answer = answers.find(({ piece }) => piece.given.question.id === block.id)
        return answer && !isLocked ? <Asked key={block.id} editor={editor} answer={answer} /> : null
      })}
      {isLocked ? (
        // The core's renderer builds it from known parts and escapes all text.
        <div
          className="paper"
          dangerouslySetInnerHTML={{
            __html: rowsOf(draft.document, stage)
              .map((row) => renderRow(row, { ...viewOf(editor), headingShift: 1 }))
              .join(''),
          }}
        />
      ) : (
        <Places editor={editor} answers={answers} />
      )}
    </section>
  )
}

/** What comes in from elsewhere goes into this stage. */
function Places({
  editor,
  answers,
}: {
  readonly editor: GuideCopyEditor
  readonly answers: AnswerInEntry[]
}) {
  useStagePlaces(editor, answers)
  return null
}

function viewOf({ copy, draft, evidence }: GuideCopyEditor) {
  return draftView(draft.document.lang, { ...copy.draft.shown, evidence })
}

export function Asked({
  editor,
  answer,
}: {
  readonly editor: GuideCopyEditor
  readonly answer: AnswerInEntry
}) {
  const { copy, draft, acts } = editor
  const { fromElsewhere, sync, document } = draft
  const writing = useMemo(() => ({ fromElsewhere, registerFlush: sync.registerFlush }), [fromElsewhere, sync])
  return (
    <>
      <AnswerField
        answer={answer}
        heading="h3"
        lang={document.lang}
        place={copyPath(copy.id)}
        writing={writing}
        beside={<Slot editor={editor} answer={answer} />}
        onPiece={acts.setPiece}
      />
      <FeedbackList feedback={copy.feedback.filter(({ pieceId }) => pieceId === answer.piece.id)} />
    </>
  )
}
