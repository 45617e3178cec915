// One stage of one's own copy, answered where one is.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { GuideCopy } from '@valise/core/guides'
import { useEffect } from 'react'
import { tellChanged } from '../api/index.ts'
import { RefusedEdit } from '../saving/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { guideQueries } from './queries.ts'
import { StageColumn } from './StageColumn.tsx'
import { useGuideCopy } from './useGuideCopy.ts'

interface StageHereProps {
  readonly copyId: string
  readonly stageId: string
}

export function StageHere({ copyId, stageId }: StageHereProps) {
  const copy = useQuery(guideQueries.copy(copyId))
  return <Fetched query={copy}>{(found) => <Here copy={found} stageId={stageId} />}</Fetched>
}

function Here({ copy, stageId }: { readonly copy: GuideCopy; readonly stageId: string }) {
  const client = useQueryClient()
  const editor = useGuideCopy(copy)
  const { sync } = editor.draft
  // Whoever shows how far it has come hears of it when it closes: while one writes, nothing moves.
  useEffect(
    () => () => {
      sync.flush()
      void sync.settled().then(() => tellChanged(client, ['guides']))
    },
    [client, sync],
  )
  const stage = copy.content.stages.find(({ id }) => id === stageId)
  const state = editor.stages.find(({ id }) => id === stageId)
  return (
    <>
      <RefusedEdit draft={editor.draft} />
      {stage && state ? <StageColumn editor={editor} stage={stage} state={state} /> : null}
    </>
  )
}
