// Where what is picked up in the Tray, or dropped, goes in a stage: to the question that was worked on last, else the first
// that takes evidence and has room.
import type { EvidenceRow } from '@valise/core/evidence'
import type { AnswerInEntry } from '@valise/core/reflections'
import { useCallback, useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useTrayPlace } from '../evidence/tray/index.ts'
import { useAddedItems, useFilesPlace } from '../evidence/upload/index.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { takesEvidence } from './slots/takesEvidence.ts'
import type { GuideCopyEditor } from './useGuideCopy.ts'

export function useStagePlaces({ acts }: GuideCopyEditor, answers: readonly AnswerInEntry[]): void {
  const { t } = useTranslation('guides')
  const addItems = useAddedItems()
  const open = answers.filter(({ piece, beside, progress }) => {
    const { most } = progress.limits
    const isAnswer = progress.counted === 'things'
    return takesEvidence(piece.given) && (!isAnswer || most === null || beside.length < most)
  })
  const target = open.find(({ piece }) => isFocused(piece.id)) ?? open[0]
  const places = useStableActs({
    put: (items: readonly EvidenceRow[]) => {
      if (target) acts.put(target.piece.id, items)
    },
  })
  useFilesPlace(useCallback((files) => addItems(files, places.put), [addItems, places]))
  useTrayPlace(
    useMemo(
      () => ({
        one: t('slot.trayOne'),
        all: t('slot.trayAll'),
        onOne: (item: EvidenceRow) => places.put([item]),
        onAll: (items: readonly EvidenceRow[]) => places.put(items),
      }),
      [t, places],
    ),
  )
}

function isFocused(pieceId: string): boolean {
  return document.activeElement?.closest(`[data-piece="${pieceId}"]`) !== null
}
