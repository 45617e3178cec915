// What things are called and how they are spoken of, by their kinds.
import type { ThingKind } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import type { ThingWords } from './ThingUi.ts'
import { uiByKind } from './uiByKind.ts'

interface Named {
  readonly kind: ThingKind
  readonly title: string
}

export interface WordsOfThings {
  of(kind: ThingKind): ThingWords
  title(thing: Named): string
}

export function useThingWords(): WordsOfThings {
  const { i18n } = useTranslation()
  const of = (kind: ThingKind) => uiByKind[kind].words[i18n.language === 'es' ? 'es' : 'en']
  return { of, title: ({ kind, title }) => title || of(kind).untitled }
}
