// A page that lies in the bin: said, with the way back.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { useBinPage } from './queries.ts'

export function BinnedPage({ id }: { readonly id: string }) {
  const { t } = useTranslation('pages')
  const bin = useBinPage()
  return (
    <Empty
      action={
        <Button loading={bin.isPending} onClick={() => bin.mutate({ id, act: 'out' })}>
          {t('bin.takeOut')}
        </Button>
      }
    >
      {t('bin.here')}
    </Empty>
  )
}
