// The open collection: its order at the left, what others read of it at the right.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { LONGEST_COLLECTION_TITLE } from '@valise/core/collections'
import type { Collection } from '@valise/core/collections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { PutInBin } from '../bin/index.ts'
import { ReadingList, useSeers, accessQueries } from '../access/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useDiscardUntouched, useIsNew } from '../ui/useDiscardUntouched.ts'
import { useSavedText } from '../ui/useSavedText.ts'
import { AddToCollection } from './AddToCollection.tsx'
import { CollectionOutline } from './CollectionOutline.tsx'
import { useChangeCollection, useDiscardCollection } from './queries.ts'
import styles from './Collections.module.css'

export function CollectionEditor({ collection }: { readonly collection: Collection }) {
  const { t } = useTranslation(['collections', 'app'])
  const change = useChangeCollection(collection.id)
  const title = useSavedText(collection.title, (text) => change.mutate([{ op: 'set-title', title: text }]))
  const isNew = useIsNew()
  const [begun, setBegun] = useState<string | null>(null)
  useDiscardUntouched(
    () => isNew && collection.revision === 1 && title.text === '' && collection.items.length === 0,
    useDiscardCollection(collection.id),
  )
  return (
    <Screen
      place={collection.title || t('untitled')}
      parent={t('app:places.collections')}
      sentence={
        <InlineTitle
          label={t('titleOf')}
          placeholder={t('titleHint')}
          value={title.text}
          isFocused={isNew}
          most={LONGEST_COLLECTION_TITLE}
          onChange={title.change}
          onBlur={title.leave}
        />
      }
      lead={t('outline.lead')}
      panelLabel={t('read.title')}
      panel={<Panel collection={collection} />}
    >
      <Refusal error={change.error} />
      <CollectionOutline collection={collection} begun={begun} onChange={change.mutate} />
      <AddToCollection collection={collection} onChange={change.mutate} onBegin={setBegun} />
    </Screen>
  )
}

function Panel({ collection }: { readonly collection: Collection }) {
  const { t } = useTranslation('collections')
  const { id } = collection
  const read = useQuery(accessQueries.collection(id))
  const seers = useSeers(id)
  return (
    <div className={styles.panel}>
      <h2>{t('read.title')}</h2>
      <Fetched query={read}>
        {({ lines }) =>
          lines.length === 0 ? (
            <p className={styles.quiet}>{t('read.empty')}</p>
          ) : (
            <>
              <ReadingList id={id} lines={lines} current={null} level={3} />
              <p className={styles.readIt}>
                <Link component={RouterLink} to={`/collections/${id}?read`}>
                  {t('read.open')}
                </Link>
              </p>
            </>
          )
        }
      </Fetched>
      <dl className={styles.known} data-print="off">
        <dt>{t('read.seenBy')}</dt>
        <dd>
          {seers.words}
          <br />
          <Link component={RouterLink} to={`/sharing?thing=${id}`}>
            {t('read.share')}
          </Link>
        </dd>
      </dl>
      <div className={styles.foot} data-print="off">
        <PutInBin kind="collection" id={id} title={collection.title} leaveTo="/collections" />
        <p className={styles.quiet}>{t('read.binHint')}</p>
      </div>
    </div>
  )
}
