// A first wording of what a collage shows, from what is known of its pictures and what is written on it, in reading order.
import { LONGEST_ALTERNATIVE_TEXT } from '@valise/core/evidence'
import { numbersOf, picturesOf, wordsOn } from '@valise/core/pictures'
import type { Collage, Pictured } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { isSamePicture } from './useCollage.ts'

export function useDraft(collage: Collage, pictures: readonly Pictured[]): string {
  const { t } = useTranslation('collage')
  const shown = picturesOf(collage).flatMap((wanted) => {
    const picture = pictures.find((one) => isSamePicture(one, wanted))
    const words = picture ? picture.alternativeText.trim() || picture.title.trim() : ''
    return words === '' ? [] : [words.replace(/[.;]+$/, '')]
  })
  const written = wordsOn(collage)
  const numbered = numbersOf(collage).flatMap(({ note }, n) =>
    note.trim() === '' ? [] : [t('draft.number', { n: n + 1, note: note.trim() })],
  )
  const count = picturesOf(collage).length
  const parts = [
    ...(count === 0
      ? []
      : [
          shown.length === 0
            ? t('draft.count', { count })
            : t('draft.pictures', { count, list: shown.join('; ') }),
        ]),
    ...(written.length === 0 ? [] : [t('draft.words', { list: written.map(inOneLine).join('; ') })]),
    ...(numbered.length === 0 ? [] : [`${numbered.join('; ')}.`]),
  ]
  return parts.join(' ').slice(0, LONGEST_ALTERNATIVE_TEXT)
}

function inOneLine(words: string): string {
  return words.replace(/\s+/g, ' ')
}
