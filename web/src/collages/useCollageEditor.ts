// A collage while it is put together: what is on the board, what is being moved, and what comes to lie on it.
import { useTranslation } from 'react-i18next'
import type { Evidence, EvidenceRow } from '@valise/core/evidence'
import { placePictures } from '@valise/core/pictures'
import type { Collage, SavedCollage, Pictured } from '@valise/core/pictures'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useTrayPlace } from '../evidence/tray/index.ts'
import { useBenchKeys } from '../pictures/bench/index.ts'
import { useLayerWords } from './layerWords.ts'
import { toPictured } from './toPictured.ts'
import { useArranging } from './useArranging.ts'
import { useCollage } from './useCollage.ts'
import { usePictures } from './usePictures.ts'

export function useCollageEditor(item: Evidence, saved: SavedCollage) {
  const { t } = useTranslation('collage')
  const inHand = useCollage(item.id, saved)
  const [moving, setMoving] = useState<Collage | null>(null)
  const [said, setSaid] = useState('')
  const collage = moving ?? inHand.document
  const arranging = useArranging({
    collage,
    onShow: setMoving,
    onSave: (next) => {
      setMoving(null)
      inHand.set(next)
    },
  })
  const opened = usePictures(inHand.pictures)
  const nameOf = useLayerWords(collage, inHand.pictures)
  const goBack = (by: () => void) => () => {
    setMoving(null)
    by()
  }
  const [undo, redo] = [goBack(inHand.undo), goBack(inHand.redo)]
  useBenchKeys({ undo, redo })

  const lay = (pictures: readonly Pictured[]) => {
    if (pictures.length === 0) return setSaid(t('add.none'))
    inHand.meet(pictures)
    const wishes = pictures.map(({ evidenceId, n, width, height }) => ({
      ...{ id: crypto.randomUUID(), evidenceId, n, width, height },
    }))
    arranging.addLayers(placePictures(collage, wishes))
    setSaid(t('add.laid', { count: pictures.length }))
  }
  // What comes from outside arrives later than it was asked for, and lies down on the board as it is then.
  const layNow = useRef(lay)
  useEffect(() => {
    layNow.current = lay
  })
  const layRows = useRef((rows: readonly EvidenceRow[]) => layNow.current(rows.flatMap(toPictured)))
  const place = useMemo(
    () => ({
      one: t('tray.one'),
      all: t('tray.all'),
      onOne: (row: EvidenceRow) => layRows.current([row]),
      onAll: (rows: readonly EvidenceRow[]) => layRows.current(rows),
    }),
    [t],
  )
  useTrayPlace(place)
  return { inHand, collage, arranging, opened, nameOf, undo, redo, said, layNow, layRows }
}
