// The bar of the chosen tool; without one, what there is to choose.
import type { Evidence } from '@valise/core/evidence'
import type { Geometry, PictureRecipe, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { SpeakOver } from '../../evidence/voices/index.ts'
import type { Speaking } from '../../evidence/voices/index.ts'
import { ConcealBar } from './ConcealBar.tsx'
import { CropBar } from './CropBar.tsx'
import { EvenBar } from './EvenBar.tsx'
import { LightBar } from './LightBar.tsx'
import { MarkBar } from './MarkBar.tsx'
import { SquareBar } from './SquareBar.tsx'
import { TurnBar } from './TurnBar.tsx'
import type { ToolBarProps } from './ToolBar.ts'
import type { Concealing } from './useConcealing.ts'
import type { ToolKind } from './tools.ts'
import type { Marking } from './useMarking.ts'
import styles from './Bench.module.css'

interface BenchToolProps extends ToolBarProps {
  readonly tool: ToolKind | null
  readonly marking: Marking
  readonly item: Evidence
  readonly speaking: Speaking
  readonly recipe: PictureRecipe
  readonly concealing: Concealing
  readonly geometry: Geometry
  readonly grey: Uint32Array | null
  /** The size that is cropped. */
  readonly cropped: Size
  readonly isSnapping: boolean
  readonly isPreviewing: boolean
  readonly hasHorizon: boolean
  readonly onSnapping: (isOn: boolean) => void
  readonly onFindSheet: () => void
  readonly onFindNames: () => void
  readonly onHorizon: () => void
}

export function BenchTool(props: BenchToolProps) {
  const { t } = useTranslation('bench')
  if (props.tool === null) return <p className={styles.bar}>{t('tools.choose')}</p>
  return (
    <section className={styles.bar} aria-label={t(`tools.${props.tool}`)}>
      <h2>{t(`tools.${props.tool}`)}</h2>
      <Controls {...props} tool={props.tool} />
    </section>
  )
}

function Controls(props: BenchToolProps & { readonly tool: ToolKind }) {
  const { tool, recipe, onShow, onSave, concealing, grey } = props
  const acts = { recipe, onShow, onSave }
  switch (tool) {
    case 'turn':
      return <TurnBar {...acts} hasHorizon={props.hasHorizon} onHorizon={props.onHorizon} />
    case 'square':
      return (
        <SquareBar
          {...acts}
          isSnapping={props.isSnapping}
          onSnapping={props.onSnapping}
          onFind={props.onFindSheet}
        />
      )
    case 'crop':
      return <CropBar {...acts} size={props.cropped} />
    case 'even':
      return <EvenBar {...acts} grey={grey} />
    case 'light':
      return <LightBar {...acts} grey={grey} />
    case 'draw':
    case 'write':
    case 'point':
      return <MarkBar tool={tool} marking={props.marking} geometry={props.geometry} />
    case 'speak':
      return <SpeakOver item={props.item} speaking={props.speaking} canPoint />
    case 'conceal':
      return (
        <ConcealBar
          fill={concealing.fill}
          drawing={concealing.drawing}
          hasChosen={concealing.chosen !== null}
          isPreviewing={props.isPreviewing}
          onFill={concealing.setFill}
          onDrawing={concealing.setDrawing}
          onFindNames={props.onFindNames}
          onAdd={() => concealing.add(props.geometry)}
          onDrop={() => concealing.chosen !== null && concealing.drop(concealing.chosen)}
        />
      )
  }
}
