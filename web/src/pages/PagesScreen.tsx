// My pages, what was changed last on top: drafts stitched, published ones solid.
import Button from '@mui/material/Button'
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { justBegun } from '../ui/useDiscardUntouched.ts'
import { PageList } from './PageList.tsx'
import { pageQueries, useCreatePage } from './queries.ts'

export function PagesScreen() {
  const { t } = useTranslation(['pages', 'app'])
  const list = useInfiniteQuery(pageQueries.list())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  return (
    <Screen
      place={t('app:places.pages')}
      parent={t('app:stops.arrange')}
      sentence={list.data ? t('list.sentence', { count }) : t('app:places.pages')}
      act={<NewPage />}
    >
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('list.empty')}</Empty>
          ) : (
            <>
              <PageList items={items} />
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
    </Screen>
  )
}

function NewPage() {
  const { t, i18n } = useTranslation('pages')
  const navigate = useNavigate()
  const create = useCreatePage()
  // The same for each press until it worked, so that a page is begun once.
  const [key] = useState(() => crypto.randomUUID())
  const onNew = () =>
    create.mutate(
      { title: '', lang: i18n.language === 'es' ? 'es' : 'en', key },
      { onSuccess: ({ id }) => void navigate(`/pages/${id}`, { state: justBegun }) },
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
