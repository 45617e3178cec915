// My collections, what was changed last on top.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { justBegun } from '../ui/useDiscardUntouched.ts'
import { useWhen } from '../ui/useWhen.ts'
import { collectionQueries, useCreateCollection } from './queries.ts'
import styles from './Collections.module.css'

export function CollectionsScreen() {
  const { t } = useTranslation(['collections', 'app'])
  const when = useWhen()
  const list = useInfiniteQuery(collectionQueries.list())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  return (
    <Screen
      place={t('app:places.collections')}
      parent={t('app:stops.arrange')}
      sentence={list.data ? t('list.sentence', { count }) : t('app:places.collections')}
      act={<NewCollection />}
    >
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('list.empty')}</Empty>
          ) : (
            <>
              <ul className={styles.list}>
                {items.map(({ id, title, pages, published, changedAt }) => (
                  <li key={id}>
                    <Link component={RouterLink} to={`/collections/${id}`}>
                      {title || t('untitled')}
                    </Link>
                    <span>
                      {pages === 0 ? t('list.noPages') : t('list.pages', { count: pages, shown: published })}
                    </span>
                    <span>{t('list.changed', { time: when.dayTime(changedAt) })}</span>
                  </li>
                ))}
              </ul>
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
    </Screen>
  )
}

function NewCollection() {
  const { t } = useTranslation('collections')
  const navigate = useNavigate()
  const create = useCreateCollection()
  // The same for each press until it worked, so that a collection is begun once.
  const [key] = useState(() => crypto.randomUUID())
  const onNew = () =>
    create.mutate(
      { title: '', key },
      { onSuccess: ({ id }) => void navigate(`/collections/${id}`, { state: justBegun }) },
    )
  return (
    <div>
      <Button
        variant="contained"
        color="primary"
        loading={create.isPending}
        startIcon={<IconPlus size={18} stroke={1.7} />}
        onClick={onNew}
      >
        {t('list.new')}
      </Button>
      <Refusal error={create.error} />
    </div>
  )
}
