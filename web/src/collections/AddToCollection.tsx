// Adding to a collection: pages, a divider, other collections; what is added comes to its end.
import Button from '@mui/material/Button'
import type { Collection, CollectionItem } from '@valise/core/collections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ChangeCollection } from './CollectionOutline.tsx'
import { ThingsChooser } from './ThingsChooser.tsx'
import styles from './Collections.module.css'

interface AddToCollectionProps {
  readonly collection: Collection
  readonly onChange: ChangeCollection
  /** Told which heading was just begun, so that its name is written next. */
  readonly onBegin: (id: string) => void
}

export function AddToCollection({ collection, onChange, onBegin }: AddToCollectionProps) {
  const { t } = useTranslation('collections')
  const [choosing, setChoosing] = useState<'page' | 'collection' | null>(null)
  const add = (items: readonly CollectionItem[]) => {
    // The end is where it is by then: what was added a moment ago may still be on its way.
    onChange((known) =>
      items.map((item, at) => ({ op: 'insert', item, after: (items[at - 1] ?? known.at(-1))?.id ?? null })),
    )
  }
  const beginDivider = () => {
    const id = crypto.randomUUID()
    add([{ id, kind: 'divider', title: '', isHidden: false }])
    onBegin(id)
  }
  const onChoose = (ids: readonly string[]) => {
    add(
      ids.map((thingId) =>
        choosing === 'page'
          ? { id: crypto.randomUUID(), kind: 'page', pageId: thingId, isHidden: false }
          : { id: crypto.randomUUID(), kind: 'collection', collectionId: thingId, isHidden: false },
      ),
    )
    setChoosing(null)
  }
  return (
    <div className={styles.add}>
      <Button variant="contained" color="primary" onClick={() => setChoosing('page')}>
        {t('add.pages')}
      </Button>
      <Button onClick={beginDivider}>{t('add.divider')}</Button>
      <Button onClick={() => setChoosing('collection')}>{t('add.collections')}</Button>
      {choosing ? (
        <ThingsChooser
          kind={choosing}
          collection={collection}
          onChoose={onChoose}
          onClose={() => setChoosing(null)}
        />
      ) : null}
    </div>
  )
}
