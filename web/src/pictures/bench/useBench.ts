// What stands on the bench: the recipe, the tool in the hand, what is proposed, and what the worker makes of it.
import { useTranslation } from 'react-i18next'
import type { Evidence } from '@valise/core/evidence'
import { stepOf } from '@valise/core/pictures'
import type { SavedRecipe, PictureRecipe, Size } from '@valise/core/pictures'
import { useMemo, useState } from 'react'
import { useLocation } from 'react-router'
import { useSpeaking } from '../../evidence/voices/index.ts'
import { newSeed } from '../desk/index.ts'
import { useProposal } from './useProposal.ts'
import { useSeenRecipe } from './useSeenRecipe.ts'
import type { Doing, Half } from './BenchPanes.tsx'
import { overlapsAny } from './regions.ts'
import { regionsOf, withRegions, withStep } from './recipeChanges.ts'
import type { Line } from './HorizonOverlay.tsx'
import { plainEven } from './steps.ts'
import { isMarkTool, stepOfTool } from './tools.ts'
import type { ToolKind } from './tools.ts'
import { useBenchKeys } from './useBenchKeys.ts'
import { useConcealing } from './useConcealing.ts'
import { useMarking } from './useMarking.ts'
import { usePictureDesk } from './usePictureDesk.ts'
import type { DeskState } from './usePictureDesk.ts'
import { useRecipe } from './useRecipe.ts'
import { useResult } from './useResult.ts'
import { useSquaring } from './useSquaring.ts'

export function useBench(item: Evidence, saved: SavedRecipe) {
  const { t } = useTranslation('bench')
  const { original } = saved
  const { n, mime } = item.version
  const of = useMemo(() => ({ id: item.id, n }), [item.id, n])
  const inHand = useRecipe(of, saved)
  const [moving, setMoving] = useState<PictureRecipe | null>(null)
  const location = useLocation()
  // Whoever comes to mark a page of a document marks at once.
  const wanted: ToolKind | null = location.state?.tool === 'draw' ? 'draw' : null
  const [tool, setTool] = useState<ToolKind | null>(wanted)
  const [half, setHalf] = useState<Half>('result')
  const [horizon, setHorizon] = useState<Line | null>(null)
  const [said, setSaid] = useState<string | null>(null)
  const [isPreviewing, setIsLooking] = useState(false)

  const deskState = usePictureDesk(of, mime, original)
  const desk = deskState.state === 'open' ? deskState.desk : null
  const proposing = useProposal(desk, wanted === null && saved.revision === 0)
  const { proposal, offered } = proposing
  const recipe = offered ?? moving ?? inHand.document
  /** What stands, or will as soon as the pointer is lifted; never what is only suggested. */
  const chosenRecipe = moving ?? inHand.document
  const show = (next: PictureRecipe) => setMoving(next)
  const save = (next: PictureRecipe) => {
    setMoving(null)
    proposing.leave()
    setSaid(null)
    inHand.set(next)
  }
  const concealing = useConcealing({ recipe, onShow: show, onSave: save })
  const marking = useMarking({ recipe, onShow: show, onSave: save })
  const squaring = useSquaring({
    ...{ desk, original, recipe, before: inHand.document },
    ...{ onShow: show, onSave: save, onSaid: setSaid },
  })
  const speaking = useSpeaking()
  useBenchKeys(inHand)

  const { seen, geometry, asTaken } = useSeenRecipe(recipe, tool, original)
  const result = useResult(desk, seen, deskState.state === 'open' && deskState.isWhole)
  const doing = doingOf(
    deskState.state,
    result.preview !== null,
    proposal !== null,
    wanted !== null || saved.revision > 0,
  )

  const choose = (kind: ToolKind) => {
    // Whoever goes on with a proposal takes it; what only points at the picture as it is does not.
    if (offered && stepOfTool(kind) !== null && !isMarkTool(kind)) save(offered)
    proposing.begin()
    setTool(kind)
    setHorizon(null)
    squaring.leave()
    setSaid(null)
    setHalf(kind === 'square' ? 'taken' : 'result')
    if (kind === 'square' && !stepOf(recipe.steps, 'square')) squaring.find()
    // Nothing has to be said for the light to be evened: choosing it does it.
    if (kind === 'even' && !stepOf(recipe.steps, 'even')) save(withStep(recipe, plainEven))
  }
  const findNames = async () => {
    if (!desk) return
    setIsLooking(true)
    const steps = seen.steps.filter(({ kind }) => kind !== 'conceal')
    const found = await desk.work.findNames(steps, newSeed())
    setIsLooking(false)
    const parts = regionsOf(recipe)
    const added = found.filter((region) => !overlapsAny(region, parts))
    if (added.length > 0) save(withRegions(recipe, [...parts, ...added]))
    setSaid(t('conceal.found', { count: added.length }))
  }
  const turnHorizon = () => {
    setHalf('taken')
    setHorizon(horizon ? null : levelLine(original))
  }
  return {
    of,
    original,
    inHand,
    tool,
    half,
    setHalf,
    horizon,
    setHorizon,
    proposal,
    offered,
    leaveProposal: proposing.leave,
    said,
    setSaid,
    isPreviewing,
    deskState,
    recipe,
    chosenRecipe,
    show,
    save,
    concealing,
    marking,
    squaring,
    speaking,
    geometry,
    asTaken,
    result,
    doing,
    choose,
    findNames,
    turnHorizon,
  }
}

/** What the bench is busy with before anything can be done; null once it is ready. */
function doingOf(
  desk: DeskState['state'],
  hasPreview: boolean,
  hasProposal: boolean,
  isRunning: boolean,
): Doing | null {
  if (desk === 'failed') return null
  if (desk === 'opening') return 'opening'
  if (!hasPreview) return 'making'
  return hasProposal || isRunning ? null : 'looking'
}

/** A line across the middle of a picture, to be laid along its horizon. */
function levelLine({ width, height }: Size): Line {
  return [
    { x: width * 0.2, y: height / 2 },
    { x: width * 0.8, y: height / 2 },
  ]
}
