// What an item of a collection is called.
import type { Collection, CollectionItem } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { useThingWords } from '../things/index.ts'

export function useItemName({ things }: Pick<Collection, 'things'>): (item: CollectionItem) => string {
  const { t } = useTranslation('collections')
  const words = useThingWords()
  return (item) => {
    if (item.kind === 'divider') return item.title || t('outline.divider')
    const thing = things.find(({ id }) => id === item.thingId)
    return thing ? words.title(thing) : ''
  }
}
