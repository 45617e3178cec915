// Entries that answer a question: each lies in the logbook of the guide, and is written there.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconBook2, IconPencil, IconPlus } from '@tabler/icons-react'
import { outlineOf } from '@valise/core/reflections'
import { screenOf } from '@valise/core/things'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { EntryChooser, LogbookChooser } from '../../reflections/index.ts'
import { useToday } from '../../session/index.ts'
import { Refusal } from '../../ui/Refusal.tsx'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { useChooseGuideLogbook, useCreateGuideEntry } from '../queries.ts'
import { useGuideWords } from '../useGuideWords.ts'
import type { SlotProps } from './Slot.tsx'
import { SlotLine } from './SlotLine.tsx'
import styles from '../Guides.module.css'

export function EntrySlot({ editor, answer }: SlotProps) {
  const { t } = useTranslation('guides')
  const navigate = useNavigate()
  const today = useToday()
  const { copy, acts, draft } = editor
  const create = useCreateGuideEntry(copy.id)
  const [key] = useState(() => crypto.randomUUID())
  const { id, given } = answer.piece
  const { most } = answer.progress.limits
  const hasRoom = most === null || answer.beside.length < most
  const begin = async () => {
    // What was typed elsewhere in the copy is there before the entry is put into it.
    draft.sync.flush()
    await draft.sync.settled()
    create.mutate(
      { questionId: given.question.id, day: today, key },
      { onSuccess: (entry) => void navigate(entryIn(editor, answer, entry.id)) },
    )
  }
  return (
    <div className={styles.slot}>
      {answer.beside.length === 0 ? <StitchedBox>{t('slot.entry')}</StitchedBox> : null}
      <Entries editor={editor} answer={answer} />
      {hasRoom ? (
        <div className={styles.slotActs}>
          <Button
            startIcon={<IconPencil size={18} stroke={1.7} />}
            loading={create.isPending}
            onClick={() => void begin()}
          >
            {t('slot.write')}
          </Button>
          <ChooseEntry onChoose={(entryId) => acts.putEntry(id, entryId)} />
          <IntoLogbook copyId={copy.id} title={copy.content.title} />
        </div>
      ) : null}
      <Refusal error={create.error} />
    </div>
  )
}

/** The address of an entry, with the way back to the stage that asks for it. */
function entryIn({ copy }: SlotProps['editor'], { piece }: SlotProps['answer'], entryId: string): string {
  const { id } = piece.given.question
  const stage = copy.content.stages.find(({ blocks }) => blocks.some((block) => block.id === id))
  return `${screenOf('entry', entryId)}?guide=${copy.id}&stage=${stage?.id ?? ''}`
}

function Entries({ editor, answer }: SlotProps) {
  const { t } = useTranslation('guides')
  const when = useWhen()
  const { acts } = editor
  const { entries } = editor.copy.draft.shown
  const pieces = answer.beside.flatMap((piece) => ('entryId' in piece ? [piece] : []))
  if (pieces.length === 0) return null
  return (
    <ul className={styles.slotLines}>
      {pieces.map(({ id, entryId }) => {
        const entry = entries[entryId]
        const title = entry?.title || t('slot.untitledEntry')
        return (
          <SlotLine key={id} title={title} onRemove={() => acts.remove(id)}>
            <Link component={RouterLink} to={entryIn(editor, answer, entryId)}>
              {title}
            </Link>
            {entry ? (
              <small>
                {when.localDay(entry.day)} · {outlineOf(entry.document).beginning || t('slot.nothingWritten')}
              </small>
            ) : null}
          </SlotLine>
        )
      })}
    </ul>
  )
}

/** An entry that was written before. */
function ChooseEntry({ onChoose }: { readonly onChoose: (entryId: string) => void }) {
  const { t } = useTranslation('guides')
  const [isChoosing, setIsChoosing] = useState(false)
  return (
    <>
      <Button
        variant="text"
        startIcon={<IconPlus size={18} stroke={1.7} />}
        onClick={() => setIsChoosing(true)}
      >
        {t('slot.chooseEntry')}
      </Button>
      {isChoosing ? (
        <EntryChooser
          onChoose={(entryId) => {
            onChoose(entryId)
            setIsChoosing(false)
          }}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </>
  )
}

/** Into which logbook the entries of the guide go. */
function IntoLogbook({ copyId, title }: { readonly copyId: string; readonly title: object }) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const choose = useChooseGuideLogbook(copyId)
  const [isChoosing, setIsChoosing] = useState(false)
  return (
    <>
      <Button
        variant="text"
        startIcon={<IconBook2 size={18} stroke={1.7} />}
        onClick={() => setIsChoosing(true)}
      >
        {t('slot.otherLogbook')}
      </Button>
      {isChoosing ? (
        <LogbookChooser
          newTitle={words.text(title)}
          onChoose={(logbookId) => choose.mutate(logbookId)}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
      <Refusal error={choose.error} />
    </>
  )
}
