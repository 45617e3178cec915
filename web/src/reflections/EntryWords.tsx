// What is written in an entry: the answers to its questions, those to earlier ones, and what is told freely.
import Button from '@mui/material/Button'
import { IconTrash } from '@tabler/icons-react'
import { countWords, fieldOf } from '@valise/core/pages'
import type { FieldKind, PieceOf } from '@valise/core/pages'
import type { AnswerInEntry, Entry } from '@valise/core/reflections'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { AnswerColumn } from '../sheets/index.ts'
import { TextEditor } from '../text/index.ts'
import { BesideWords } from './BesideWords.tsx'
import { Rate } from './Rate.tsx'
import { entryPath } from './queries.ts'
import type { useEntryEditor } from './useEntryEditor.ts'
import styles from './EntryEditor.module.css'

interface EntryWordsProps {
  readonly entry: Entry
  readonly editor: ReturnType<typeof useEntryEditor>
}

export function EntryWords({ entry, editor }: EntryWordsProps) {
  const { t } = useTranslation('reflections')
  const { draft, textPiece, answers, acts } = editor
  const { fromElsewhere, sync, document } = draft
  const writing = useMemo(() => ({ fromElsewhere, registerFlush: sync.registerFlush }), [fromElsewhere, sync])
  const beside = (answer: AnswerInEntry) =>
    takesEvidence(answer) ? <Slot answer={answer} editor={editor} /> : null
  const asked = answers.filter(({ isAsked }) => isAsked)
  const earlier = answers.filter(({ isAsked }) => !isAsked)
  const column = {
    ...{ lang: document.lang, place: entryPath(entry.id), writing, beside, onPiece: acts.setPiece },
  }
  return (
    <>
      <AnswerColumn answers={asked} heading="h2" {...column} />
      <Rate editor={editor} />
      {earlier.length > 0 ? (
        <section className={styles.earlier}>
          <h2>{t('entry.earlier')}</h2>
          <AnswerColumn answers={earlier} heading="h3" {...column} />
        </section>
      ) : null}
      {textPiece ? <Free entry={entry} editor={editor} piece={textPiece} isAlong={asked.length > 0} /> : null}
    </>
  )
}

/** Whether evidence stands beside an answer: as the answer itself, or with it. */
function takesEvidence({ piece, progress }: AnswerInEntry): boolean {
  return progress.counted === 'things' || fieldOf<FieldKind>(piece.given).takesEvidence === true
}

interface FreeProps extends EntryWordsProps {
  readonly piece: PieceOf<'text'>
  /** Whether questions stand above it. */
  readonly isAlong: boolean
}

/** What is told without a question. */
function Free({ entry, editor, piece, isAlong }: FreeProps) {
  const { t } = useTranslation('reflections')
  const { document, sync, fromElsewhere } = editor.draft
  return (
    <section className={styles.free} data-along={isAlong}>
      {isAlong ? <h2>{t('entry.more')}</h2> : null}
      <div className={`paper ${styles.text}`} lang={document.lang}>
        <TextEditor
          key={piece.id}
          text={piece.text}
          fromElsewhere={fromElsewhere}
          registerFlush={sync.registerFlush}
          place={`${entryPath(entry.id)}#${piece.id}`}
          isFocused={entry.draft.revision === 1 && !isAlong}
          label={t(isAlong ? 'entry.more' : 'entry.words')}
          placeholder={t(isAlong ? 'entry.moreHint' : 'entry.wordsHint')}
          onText={(text) => sync.act([{ op: 'set-piece', piece: { ...piece, text } }])}
        />
      </div>
      <p className={styles.count}>{t('entries.words', { count: countWords(piece.text) })}</p>
    </section>
  )
}

interface SlotProps {
  readonly answer: AnswerInEntry
  readonly editor: EntryWordsProps['editor']
}

/** The evidence that answers a question. */
function Slot({ answer, editor }: SlotProps) {
  const { t } = useTranslation('reflections')
  const { draft, evidence, acts } = editor
  const { id, given, askedBy } = answer.piece
  const { counted, limits } = answer.progress
  const isAnswer = counted === 'things'
  const most = isAnswer ? limits.most : null
  return (
    <>
      <BesideWords
        pieces={answer.beside}
        lang={draft.document.lang}
        evidence={evidence}
        empty={t(isAnswer ? 'entry.slotEmpty' : 'rate.slot')}
        accepts={'accepts' in given.question ? given.question.accepts : []}
        hasRoom={most === null || answer.beside.length < most}
        onPut={(item) => acts.putInto(id, [item])}
        onChange={acts.setPiece}
        onRemove={acts.remove}
        onUp={(pieceId) => acts.moveUp(id, pieceId)}
      />
      {askedBy === null ? (
        <Button
          variant="text"
          color="error"
          startIcon={<IconTrash size={17} stroke={1.7} />}
          onClick={() => acts.removeQuestion(id)}
        >
          {t('rate.remove')}
        </Button>
      ) : null}
    </>
  )
}
