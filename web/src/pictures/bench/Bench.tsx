// The picture bench: tools under their questions, the picture as taken beside what others get, and the recipe.
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import useMediaQuery from '@mui/material/useMediaQuery'
import { IconCopy } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { IDENTITY, resolveGeometry, stepOf } from '@valise/core/pictures'
import type { SavedRecipe, PictureRecipe, Proposal } from '@valise/core/pictures'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation } from 'react-router'
import { useSpeaking } from '../../evidence/voices/index.ts'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { newSeed } from '../desk/index.ts'
import { BenchFoot } from './BenchFoot.tsx'
import { BenchPanes } from './BenchPanes.tsx'
import type { Doing, Half } from './BenchPanes.tsx'
import { BenchTool } from './BenchTool.tsx'
import { LeaveProposalDialog } from './LeaveProposalDialog.tsx'
import { MovePad } from './MovePad.tsx'
import { ProposalBar } from './ProposalBar.tsx'
import { overlapsAny } from './regions.ts'
import { regionsOf, withoutStep, withRegions, withStep } from './recipeChanges.ts'
import { RecipeList } from './RecipeList.tsx'
import { ShowChecks } from './ShowChecks.tsx'
import type { Line } from './HorizonOverlay.tsx'
import { levelledBy, plainEven } from './steps.ts'
import { ToolList } from './ToolList.tsx'
import { isMarkTool, stepOfTool } from './tools.ts'
import type { ToolKind } from './tools.ts'
import { UndoButtons } from './UndoButtons.tsx'
import { useBenchKeys } from './useBenchKeys.ts'
import { useConcealing } from './useConcealing.ts'
import { useMarking } from './useMarking.ts'
import { usePictureDesk } from './usePictureDesk.ts'
import type { DeskState } from './usePictureDesk.ts'
import { useRecipe } from './useRecipe.ts'
import { useResult } from './useResult.ts'
import { useSquaring } from './useSquaring.ts'
import { UseOnOthers } from './UseOnOthers.tsx'
import styles from './Bench.module.css'

export function Bench({ item, saved }: { readonly item: Evidence; readonly saved: SavedRecipe }) {
  const { t } = useTranslation('bench')
  const isNarrow = useMediaQuery('(max-width: 767.95px)')
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
  const [proposal, setProposal] = useState<Proposal | null>(null)
  const [isOffered, setIsOffered] = useState(false)
  /** Whoever works already is not interrupted by a proposal. */
  const hasBegun = useRef(wanted !== null)
  const [said, setSaid] = useState<string | null>(null)
  const [isPreviewing, setIsLooking] = useState(false)
  const [isUsingOnOthers, setIsUsingOnOthers] = useState(false)

  const deskState = usePictureDesk(of, mime, original)
  const desk = deskState.state === 'open' ? deskState.desk : null
  const offered = isOffered ? (proposal?.recipe ?? null) : null
  const recipe = offered ?? moving ?? inHand.document
  /** What stands, or will as soon as the pointer is lifted; never what is only suggested. */
  const chosenRecipe = moving ?? inHand.document
  const show = (next: PictureRecipe) => setMoving(next)
  const save = (next: PictureRecipe) => {
    setMoving(null)
    setIsOffered(false)
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

  // Once the picture is there: what would be done with it, and what no editing can mend.
  useEffect(() => {
    if (!desk) return
    void desk.work.propose(newSeed()).then((found) => {
      setProposal(found)
      setIsOffered(saved.revision === 0 && !hasBegun.current && found.recipe.steps.length > 0)
    })
    // A recipe that is there already is never offered another one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [desk])

  // What is cropped away is shown while it is being cropped; marks are over the picture while they are being made.
  const without = tool === 'crop' ? 'crop' : isMarkTool(tool) ? 'mark' : null
  const withoutIt = without === null ? recipe : withoutStep(recipe, without)
  // Marks that move do not make the picture under them anew.
  const seenText = JSON.stringify(withoutIt)
  const seen = useMemo<PictureRecipe>(() => JSON.parse(seenText), [seenText])
  const geometry = useMemo(() => resolveGeometry(original, seen.steps), [original, seen])
  const asTaken = useMemo(() => ({ size: original, toOriginal: IDENTITY, toResult: IDENTITY }), [original])
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
    setIsOffered(false)
    hasBegun.current = true
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
    const { width, height } = original
    setHalf('taken')
    setHorizon(
      horizon
        ? null
        : [
            { x: width * 0.2, y: height / 2 },
            { x: width * 0.8, y: height / 2 },
          ],
    )
  }

  return (
    <div className={styles.bench}>
      <ToolList recipe={chosenRecipe} chosen={tool} onChoose={choose} />
      <div className={styles.middle}>
        {isNarrow ? (
          <ChoiceBar
            label={t('halves.label')}
            value={half}
            choices={[
              ['taken', t('halves.taken')],
              ['result', t('halves.result')],
            ]}
            onChange={setHalf}
          />
        ) : null}
        <BenchPanes
          {...{
            of,
            item,
            tool,
            recipe,
            result,
            geometry,
            asTaken,
            original,
            concealing,
            marking,
            speaking,
            horizon,
          }}
          isOffered={offered !== null}
          doing={doing}
          only={isNarrow ? half : null}
          corners={tool === 'square' ? squaring.corners : null}
          error={deskState.state === 'failed' ? deskState.error : result.error}
          onCorners={squaring.move}
          onCornerDone={squaring.drop}
          onHorizon={(line) => {
            setHorizon(line)
            show(withStep(inHand.document, levelledBy(original, inHand.document, line)))
          }}
          onHorizonDone={() => save(recipe)}
          onShow={show}
          onSave={save}
        />
        {result.progress === null ? (
          <div className={styles.noProgress} />
        ) : (
          <div className={styles.progress}>
            <LinearProgress
              variant="determinate"
              value={result.progress * 100}
              aria-label={t('whole.making')}
            />
            <Button size="small" variant="text" onClick={result.cancel}>
              {t('whole.cancel')}
            </Button>
          </div>
        )}
        {offered ? (
          <>
            <ProposalBar recipe={offered} onSave={() => save(offered)} onLeave={() => setIsOffered(false)} />
            <LeaveProposalDialog recipe={offered} onUse={() => save(offered)} />
          </>
        ) : (
          <BenchTool
            {...{ tool, recipe, concealing, marking, item, speaking, isPreviewing, geometry }}
            grey={result.preview?.grey ?? null}
            hasHorizon={horizon !== null}
            cropped={resolveGeometry(original, recipe.steps, 'crop').size}
            onShow={show}
            onSave={save}
            isSnapping={squaring.isSnapping}
            onSnapping={squaring.setIsSnapping}
            onFindSheet={squaring.find}
            onFindNames={() => void findNames()}
            onHorizon={turnHorizon}
          />
        )}
        <div className={styles.bar}>
          <UndoButtons {...inHand} />
          <MovePad />
          <p className={styles.hint} role="status">
            {doing
              ? t(`doing.${doing}`)
              : (said ?? (inHand.isMerged ? t('merged') : tool ? t(`hints.${tool}`) : ''))}
          </p>
        </div>
        <Refusal error={inHand.refused} />
      </div>
      <aside className={styles.panel} aria-label={t('panel')}>
        <h1>{t('question')}</h1>
        <ShowChecks item={item} recipe={chosenRecipe} suggested={offered} faults={proposal?.faults ?? []} />
        <div className={styles.recipeHead}>
          <h2>{t('recipe.title')}</h2>
          <Button
            size="small"
            variant="text"
            startIcon={<IconCopy size={18} stroke={1.7} />}
            disabled={inHand.document.steps.length === 0}
            onClick={() => setIsUsingOnOthers(true)}
          >
            {t('others.use')}
          </Button>
        </div>
        <RecipeList recipe={inHand.document} chosen={tool} onChoose={choose} onChange={save} />
        <BenchFoot id={item.id} note={t('savedByItself')} />
      </aside>
      {isUsingOnOthers ? (
        <UseOnOthers
          except={item.id}
          recipe={inHand.document}
          original={original}
          onSaid={setSaid}
          onClose={() => setIsUsingOnOthers(false)}
        />
      ) : null}
    </div>
  )
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
