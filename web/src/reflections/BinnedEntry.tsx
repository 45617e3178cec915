// An entry that lies in the bin: said, with the way back.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { useBinEntry } from './queries.ts'

export function BinnedEntry({ id }: { readonly id: string }) {
  const { t } = useTranslation('reflections')
  const bin = useBinEntry()
  return (
    <Empty
      action={
        <Button loading={bin.isPending} onClick={() => bin.mutate({ id, act: 'out' })}>
          {t('entry.takeOut')}
        </Button>
      }
    >
      {t('entry.inBin')}
    </Empty>
  )
}
