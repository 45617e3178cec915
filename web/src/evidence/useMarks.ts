// What the marks on all things of a list need, asked once for the list and not by each of its things.
import type { TFunction } from 'i18next'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useTray } from './useTray.ts'
import type { Tray } from './useTray.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'
import type { EvidenceWords } from './useEvidenceWords.ts'

export interface Marks {
  readonly t: TFunction<'evidence'>
  readonly words: EvidenceWords
  readonly tray: Tray
}

/** Returns stable marks as long as nothing changes, so that items are not rendered again. */
export function useMarks(): Marks {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const tray = useTray()
  return useMemo(() => ({ t, words, tray }), [t, words, tray])
}
