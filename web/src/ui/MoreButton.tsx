// The button for the next page of a list that is fetched by cursor.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { fetchMore } from './fetchMore.ts'
import type { PagedQuery } from './fetchMore.ts'

export function MoreButton({ query }: { readonly query: PagedQuery }) {
  const { t } = useTranslation()
  if (!query.hasNextPage) return null
  return (
    <Button sx={{ mt: 4 }} loading={query.isFetchingNextPage} onClick={() => void fetchMore(query)}>
      {t('states.more')}
    </Button>
  )
}
