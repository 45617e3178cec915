// Adding to a collection: pages, a divider, other collections; what is added comes to its end.
import Button from '@mui/material/Button'
import type { Collection, CollectionItem } from '@valise/core/collections'
import { sharedKinds } from '@valise/core/things'
import type { SharedKind } from '@valise/core/things'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ChangeCollection } from './CollectionOutline.tsx'
import { placesByKind } from './placesByKind.ts'
import { ThingsChooser } from './ThingsChooser.tsx'
import styles from './Collections.module.css'

const [first, ...others] = sharedKinds

interface AddToCollectionProps {
  readonly collection: Collection
  readonly onChange: ChangeCollection
  /** Told which heading was just begun, so that its name is written next. */
  readonly onBegin: (id: string) => void
}

export function AddToCollection({ collection, onChange, onBegin }: AddToCollectionProps) {
  const { t } = useTranslation('collections')
  const [choosing, setChoosing] = useState<SharedKind | null>(null)
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
    add(ids.map((thingId) => ({ id: crypto.randomUUID(), kind: 'thing', thingId, isHidden: false })))
    setChoosing(null)
  }
  return (
    <div className={styles.add}>
      {first ? (
        <Button variant="contained" color="primary" onClick={() => setChoosing(first)}>
          {t(placesByKind[first].add)}
        </Button>
      ) : null}
      <Button onClick={beginDivider}>{t('add.divider')}</Button>
      {others.map((kind) => (
        <Button key={kind} onClick={() => setChoosing(kind)}>
          {t(placesByKind[kind].add)}
        </Button>
      ))}
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
