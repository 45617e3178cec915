// A thing that lies in the bin, on its own screen: said, with the way back.
import Button from '@mui/material/Button'
import type { ThingKind } from '@valise/core/things'
import { useThingWords } from '../things/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useBin } from './queries.ts'

export function InBin({ kind, id }: { readonly kind: ThingKind; readonly id: string }) {
  const words = useThingWords().of(kind)
  const bin = useBin()
  return (
    <Empty
      action={
        <>
          <Button loading={bin.isPending} onClick={() => bin.mutate({ id, act: 'out' })}>
            {words.takeOut}
          </Button>
          <Refusal error={bin.error} />
        </>
      }
    >
      {words.isInBin}
    </Empty>
  )
}
