// What the marks on all things of a list need, asked once for the list and not by each of its things.
import type { TFunction } from 'i18next'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useTray } from '../tray/index.ts'
import type { TrayContent } from '../tray/index.ts'
import { useEvidenceWords } from '../base/index.ts'
import type { EvidenceWords } from '../base/index.ts'

export interface Marks {
  readonly t: TFunction<'evidence'>
  readonly words: EvidenceWords
  readonly tray: TrayContent
}

/** Returns stable marks as long as nothing changes, so that items are not rendered again. */
export function useMarks(): Marks {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const tray = useTray()
  return useMemo(() => ({ t, words, tray }), [t, words, tray])
}
