// The two halves: the picture as taken and as others get it, parted by a divider that is dragged or moved by keys.
import CircularProgress from '@mui/material/CircularProgress'
import { IconArrowsHorizontal, IconBulb, IconUsers } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { stepOf } from '@valise/core/pictures'
import type { Geometry, PictureRecipe, Quad, Size } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import type { Speaking } from '../../evidence/voices/index.ts'
import { Refusal } from '../../ui/Refusal.tsx'
import { pictureStyles, ResultCanvas } from '../desk/index.ts'
import { ConcealOverlay } from './ConcealOverlay.tsx'
import { CropOverlay } from './CropOverlay.tsx'
import { HorizonOverlay } from './HorizonOverlay.tsx'
import type { Line } from './HorizonOverlay.tsx'
import { MarkOverlay } from './MarkOverlay.tsx'
import { Pane } from './Pane.tsx'
import { asTakenAddress } from './queries.ts'
import type { VersionOfItem } from './queries.ts'
import { withStep } from './recipeChanges.ts'
import { SpeakOverlay } from './SpeakOverlay.tsx'
import { SquareOverlay } from './SquareOverlay.tsx'
import { plainCrop, ratioOf } from './steps.ts'
import { isMarkTool } from './tools.ts'
import type { ToolKind } from './tools.ts'
import type { Concealing } from './useConcealing.ts'
import type { Marking } from './useMarking.ts'
import type { Result } from './useResult.ts'
import { useZoom, ZoomBar } from './ZoomBar.tsx'
import styles from './Bench.module.css'

export type Half = 'taken' | 'result'
/** What is still running before the result is visible. */
export type Doing = 'opening' | 'making' | 'looking'

interface BenchPanesProps {
  readonly of: VersionOfItem
  readonly item: Evidence
  readonly tool: ToolKind | null
  readonly marking: Marking
  readonly speaking: Speaking
  readonly recipe: PictureRecipe
  /** Whether the recipe is only suggested: it is nobody's yet. */
  readonly isOffered: boolean
  readonly doing: Doing | null
  readonly result: Result
  readonly original: Size
  /** How the pixels that are seen and the original's lead to each other. */
  readonly geometry: Geometry
  readonly asTaken: Geometry
  readonly concealing: Concealing
  readonly horizon: Line | null
  readonly corners: Quad | null
  readonly error: unknown
  /** The half that has the screen to itself; null where both have room. */
  readonly only: Half | null
  readonly onCorners: (corners: Quad) => void
  readonly onCornerDone: (isByPointer: boolean) => void
  readonly onHorizon: (line: Line) => void
  readonly onHorizonDone: () => void
  readonly onShow: (recipe: PictureRecipe) => void
  readonly onSave: (recipe: PictureRecipe) => void
}

const [LEAST, MOST] = [12, 88]

export function BenchPanes(props: BenchPanesProps) {
  const { of, item, tool, result, original, geometry, asTaken, only, error, isOffered, doing } = props
  const { t } = useTranslation('bench')
  const [moved, setSplit] = useState<number | null>(null)
  const split = moved ?? splitFor(original, geometry.size)
  const zooming = useZoom()
  const { zoom, zoomBy } = zooming
  const image = useRef<HTMLImageElement>(null)
  const [shownImage, setShownImage] = useState<HTMLImageElement | null>(null)
  const columns = only === null ? `minmax(0, ${split}fr) minmax(0, ${100 - split}fr)` : 'minmax(0, 1fr)'
  return (
    <div className={styles.panes} style={{ gridTemplateColumns: columns }}>
      {only === 'result' ? null : (
        <Pane
          half="taken"
          label={<span className={styles.dark}>{t('halves.taken')}</span>}
          name={t('halves.taken')}
          size={original}
          zoom={zoom}
          onZoom={zoomBy}
        >
          <img
            ref={image}
            // One that is still being made ready is asked for again once the bench could open it.
            key={doing === 'opening' ? 'opening' : 'open'}
            className={pictureStyles.image}
            src={asTakenAddress(of)}
            alt={item.alternativeText || item.title}
            draggable={false}
            onLoad={(event) => setShownImage(event.currentTarget)}
          />
          <TakenOverlay {...props} image={shownImage} geometry={asTaken} />
        </Pane>
      )}
      {only === 'taken' ? null : (
        <Pane
          half="result"
          label={
            isOffered ? (
              <span className={styles.offered}>
                <IconBulb size={15} stroke={1.7} aria-hidden /> {t('halves.offered')}
              </span>
            ) : (
              <span className={styles.light}>
                <IconUsers size={15} stroke={1.7} aria-hidden /> {t('halves.result')}
              </span>
            )
          }
          name={t(isOffered ? 'halves.offered' : 'halves.result')}
          isOffered={isOffered}
          size={geometry.size}
          zoom={zoom}
          onZoom={zoomBy}
        >
          <ResultCanvas
            bitmap={result.whole ?? result.preview?.bitmap ?? null}
            label={t(isOffered ? 'halves.offered' : 'halves.result')}
          />
          <ResultOverlay {...props} />
          {tool === 'turn' ? <Grid /> : null}
          {doing === 'opening' || doing === 'making' ? (
            <div className={styles.doing}>
              <CircularProgress size={22} aria-hidden />
              {t(`doing.${doing}`)}
            </div>
          ) : null}
        </Pane>
      )}
      {only === null ? <Divider split={split} onSplit={setSplit} /> : null}
      <ZoomBar {...zooming} />
      {error ? (
        <div className={styles.trouble}>
          <p>{t('trouble')}</p>
          <Refusal error={error} />
        </div>
      ) : null}
    </div>
  )
}

/** Where both halves are about equally high, as long as nobody moved the divider. */
function splitFor(taken: Size, result: Size): number {
  const [left, right] = [taken.width / taken.height, result.width / result.height]
  return Math.min(68, Math.max(38, (100 * left) / (left + right)))
}

function TakenOverlay(props: BenchPanesProps & { readonly image: HTMLImageElement | null }) {
  const { tool, corners, horizon, original, image } = props
  if (tool === 'square' && corners)
    return (
      <SquareOverlay
        corners={corners}
        size={original}
        image={image}
        onMove={props.onCorners}
        onDone={props.onCornerDone}
      />
    )
  if (tool === 'turn' && horizon)
    return (
      <HorizonOverlay line={horizon} size={original} onMove={props.onHorizon} onDone={props.onHorizonDone} />
    )
  return tool === 'conceal' ? <Concealed {...props} /> : null
}

function ResultOverlay(props: BenchPanesProps) {
  const { tool, recipe, geometry, onShow, onSave } = props
  if (tool === 'conceal') return <Concealed {...props} />
  if (isMarkTool(tool)) return <MarkOverlay tool={tool} marking={props.marking} geometry={geometry} />
  if (tool === 'speak') return <SpeakOverlay speaking={props.speaking} geometry={geometry} />
  if (tool !== 'crop') return null
  const { width, height } = geometry.size
  const step = stepOf(recipe.steps, 'crop') ?? plainCrop
  const box = {
    x: step.box.x * width,
    y: step.box.y * height,
    width: step.box.width * width,
    height: step.box.height * height,
  }
  return (
    <CropOverlay
      box={box}
      size={geometry.size}
      ratio={ratioOf(step, geometry.size)}
      onMove={(next) =>
        onShow(
          withStep(recipe, {
            ...step,
            on: true,
            box: {
              x: next.x / width,
              y: next.y / height,
              width: Math.min(1, next.width / width),
              height: Math.min(1, next.height / height),
            },
          }),
        )
      }
      onDone={() => onSave(recipe)}
    />
  )
}

function Concealed({ concealing, geometry }: BenchPanesProps) {
  return (
    <ConcealOverlay
      parts={concealing.inView(geometry)}
      chosen={concealing.chosen}
      size={geometry.size}
      drawing={concealing.drawing}
      brush={Math.max(geometry.size.width, geometry.size.height) / 60}
      onChoose={concealing.choose}
      onChange={(n, points) => concealing.change(n, points, geometry)}
      onDone={concealing.done}
      onDrop={concealing.drop}
      onDraw={(region) => concealing.draw(region, geometry)}
    />
  )
}

/** Level and upright lines to turn by. */
function Grid() {
  return <div className={styles.grid} aria-hidden />
}

function Divider({ split, onSplit }: { readonly split: number; readonly onSplit: (split: number) => void }) {
  const { t } = useTranslation('bench')
  const move = (to: number) => onSplit(Math.min(MOST, Math.max(LEAST, Math.round(to * 10) / 10)))
  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    const frame = event.currentTarget.parentElement?.getBoundingClientRect()
    if (frame && event.currentTarget.hasPointerCapture(event.pointerId))
      move(((event.clientX - frame.left) / frame.width) * 100)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 10 : 2
    const to = { ArrowLeft: split - by, ArrowRight: split + by, Home: LEAST, End: MOST }[event.key]
    if (to === undefined) return
    event.preventDefault()
    move(to)
  }
  return (
    <div
      className={styles.divider}
      style={{ left: `${split}%` }}
      role="separator"
      aria-orientation="vertical"
      aria-label={t('halves.divider')}
      aria-valuenow={Math.round(split)}
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      tabIndex={0}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointerMove}
      onKeyDown={onKeyDown}
    >
      <span>
        <IconArrowsHorizontal size={18} stroke={1.7} aria-hidden />
      </span>
    </div>
  )
}
