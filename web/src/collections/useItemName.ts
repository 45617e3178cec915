// What an item of a collection is called.
import type { Collection, CollectionItem } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'

export function useItemName({ things }: Pick<Collection, 'things'>): (item: CollectionItem) => string {
  const { t } = useTranslation(['collections', 'things'])
  const titleOf = (id: string) => things.find((thing) => thing.id === id)?.title
  return (item) => {
    if (item.kind === 'divider') return item.title || t('outline.divider')
    if (item.kind === 'page') return titleOf(item.pageId) || t('things:pages.untitled')
    return titleOf(item.collectionId) || t('untitled')
  }
}
