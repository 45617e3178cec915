// A collection that lies in the bin: said, with the way back.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useBinCollection } from './queries.ts'

export function BinnedCollection({ id }: { readonly id: string }) {
  const { t } = useTranslation('collections')
  const bin = useBinCollection()
  return (
    <Empty
      action={
        <>
          <Button loading={bin.isPending} onClick={() => bin.mutate({ id, act: 'out' })}>
            {t('bin.takeOut')}
          </Button>
          <Refusal error={bin.error} />
        </>
      }
    >
      {t('bin.here')}
    </Empty>
  )
}
