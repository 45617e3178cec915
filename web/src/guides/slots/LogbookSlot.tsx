// A logbook that answers a question: one that is there, or a new one, in two clicks.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconBook2 } from '@tabler/icons-react'
import { logbookReferences, newDocument } from '@valise/core/pages'
import { screenOf } from '@valise/core/things'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { LogbookChooser } from '../../reflections/index.ts'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import { useGuideWords } from '../useGuideWords.ts'
import type { SlotProps } from './Slot.tsx'
import { SlotLine } from './SlotLine.tsx'
import styles from '../Guides.module.css'

export function LogbookSlot({ editor, answer }: SlotProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const { copy, acts } = editor
  const [isChoosing, setIsChoosing] = useState(false)
  const { logbooks = {} } = copy.draft.shown
  const pieces = answer.beside.flatMap((piece) => ('logbookId' in piece ? [piece] : []))
  return (
    <div className={styles.slot}>
      {pieces.length === 0 ? (
        <>
          <StitchedBox>{t('slot.logbook')}</StitchedBox>
          <Button startIcon={<IconBook2 size={18} stroke={1.7} />} onClick={() => setIsChoosing(true)}>
            {t('slot.chooseLogbook')}
          </Button>
        </>
      ) : (
        <ul className={styles.slotLines}>
          {pieces.map((piece) => {
            const [reference] = logbookReferences(newDocument('', 'en', [{ id: 'r', pieces: [piece] }]))
            const shown = logbooks[reference?.key ?? '']
            const title = shown?.title ?? t('slot.someLogbook')
            return (
              <SlotLine key={piece.id} title={title} onRemove={() => acts.remove(piece.id)}>
                <Link component={RouterLink} to={screenOf('logbook', piece.logbookId)}>
                  {title}
                </Link>
                {shown ? <small>{t('slot.entries', { count: shown.entryIds.length })}</small> : null}
              </SlotLine>
            )
          })}
        </ul>
      )}
      {isChoosing ? (
        <LogbookChooser
          newTitle={words.text(copy.content.title)}
          onChoose={(logbookId) => acts.putLogbook(answer.piece.id, logbookId)}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </div>
  )
}
