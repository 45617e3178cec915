// How layers are called, for lists and for those who hear the board.
import { numbersOf } from '@valise/core/pictures'
import type { Collage, Layer, Pictured } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { isSamePicture } from './useCollage.ts'

const LONGEST = 40

export function useLayerWords(collage: Collage, pictures: readonly Pictured[]): (layer: Layer) => string {
  const { t } = useTranslation('collage')
  const numbers = numbersOf(collage)
  return (layer) => {
    switch (layer.kind) {
      case 'picture': {
        const picture = pictures.find((one) => isSamePicture(one, layer))
        if (!picture) return t('layers.gone')
        return picture.title === '' ? t('layers.picture') : picture.title
      }
      case 'text':
        return layer.words.trim() === '' ? t('layers.words') : quoted(layer.words)
      case 'shape': {
        const name = t(`shapes.${layer.shape}`)
        return layer.words.trim() === '' ? name : t('layers.saying', { name, words: quoted(layer.words) })
      }
      case 'arrow':
        return t('layers.arrow')
      case 'number':
        return t('layers.number', { n: numbers.findIndex(({ id }) => id === layer.id) + 1 })
      case 'drawing':
        return t('layers.drawing')
    }
  }

  function quoted(words: string): string {
    const line = words.trim().replace(/\s+/g, ' ')
    return t('layers.quoted', { words: line.length > LONGEST ? `${line.slice(0, LONGEST)}…` : line })
  }
}
