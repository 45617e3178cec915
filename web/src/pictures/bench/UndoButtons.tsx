// The way back and forth over all that was done.
import Button from '@mui/material/Button'
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import type { OpenDocument } from '../../saving/index.ts'

type UndoButtonsProps = Pick<OpenDocument<unknown>, 'canUndo' | 'canRedo' | 'undo' | 'redo'>

export function UndoButtons({ canUndo, canRedo, undo, redo }: UndoButtonsProps) {
  const { t } = useTranslation('bench')
  return (
    <>
      <Button
        size="small"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!canUndo}
        onClick={undo}
      >
        {t('undo')}
      </Button>
      <Button
        size="small"
        startIcon={<IconArrowForwardUp size={18} stroke={1.7} />}
        disabled={!canRedo}
        onClick={redo}
      >
        {t('redo')}
      </Button>
    </>
  )
}
