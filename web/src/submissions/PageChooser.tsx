// Ticking the pages that are to go in; those that are listed already are not offered.
import { useInfiniteQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { pageQueries } from '../pages/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { TickDialog } from '../ui/TickDialog.tsx'
import { useWhen } from '../ui/useWhen.ts'

interface PageChooserProps {
  readonly listed: readonly string[]
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function PageChooser({ listed, onChoose, onClose }: PageChooserProps) {
  const { t } = useTranslation(['submissions', 'things'])
  const when = useWhen()
  const query = useInfiniteQuery(pageQueries.list())
  return (
    <TickDialog
      title={t('add.choosePages')}
      verb={(count) => t('add.chosen', { count })}
      onChoose={onChoose}
      onClose={onClose}
    >
      {(list) => (
        <>
          <Fetched query={query}>
            {({ pages }) => {
              const offered = pages.flatMap(({ items }) => items).filter(({ id }) => !listed.includes(id))
              const choices = offered.map(({ id, title, publishedAt }) => ({
                id,
                name: title || t('things:pages.untitled'),
                about:
                  publishedAt === null
                    ? t('things:pages.draft')
                    : t('things:pages.published', { date: when.date(publishedAt) }),
              }))
              return list(choices, t('add.noPages'))
            }}
          </Fetched>
          <MoreButton query={query} />
        </>
      )}
    </TickDialog>
  )
}
