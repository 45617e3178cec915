// The next page of a list that is fetched by cursor.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'

interface MoreButtonProps {
  readonly query: {
    readonly hasNextPage: boolean
    readonly isFetchingNextPage: boolean
    fetchNextPage(): unknown
  }
}

export function MoreButton({ query }: MoreButtonProps) {
  const { t } = useTranslation()
  if (!query.hasNextPage) return null
  return (
    <Button sx={{ mt: 4 }} loading={query.isFetchingNextPage} onClick={() => void query.fetchNextPage()}>
      {t('states.more')}
    </Button>
  )
}
