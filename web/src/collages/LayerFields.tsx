// What can be said of a layer by its kind: the cut of a picture, the colours of a shape, the words in it, the note of a number.
import TextField from '@mui/material/TextField'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import { collageColours, collageFonts, collageShapes, pictureShapes } from '@valise/core/pictures'
import type {
  ArrowLayer,
  CollageFont,
  CollageShape,
  Layer,
  NumberLayer,
  PictureLayer,
  PictureShape,
  ShapeLayer,
  TextLayer,
} from '@valise/core/pictures'
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { SliderField } from '../pictures/bench/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { ColourField } from './ColourField.tsx'
import styles from './Collage.module.css'

export interface LayerFieldsProps<L extends Layer> {
  readonly layer: L
  /** Where words are written. */
  readonly writing: Ref<HTMLTextAreaElement>
  readonly onShow: (to: Partial<L>) => void
  readonly onSave: (to: Partial<L>) => void
}

export function LayerFields({ layer, ...others }: LayerFieldsProps<Layer>) {
  switch (layer.kind) {
    case 'picture':
      return <PictureFields layer={layer} {...others} />
    case 'shape':
      return <ShapeFields layer={layer} {...others} />
    case 'text':
      return <WordsFields layer={layer} {...others} />
    case 'arrow':
      return <ArrowFields layer={layer} {...others} />
    case 'number':
      return <NumberFields layer={layer} {...others} />
    case 'drawing':
      return null
  }
}

const percent = (value: number) => `${Math.round(value * 100)}\u00a0%`

function PictureFields({ layer, onShow, onSave }: LayerFieldsProps<PictureLayer>) {
  const { t } = useTranslation('collage')
  const { focus } = layer
  const slide = (what: 'x' | 'y' | 'zoom', most: number, least: number) => (
    <SliderField
      label={t(`fields.${what}`)}
      value={focus[what]}
      min={least}
      max={most}
      step={0.01}
      format={percent}
      onMove={(value) => onShow({ focus: { ...focus, [what]: value } })}
      onDone={(value) => onSave({ focus: { ...focus, [what]: value } })}
    />
  )
  return (
    <>
      <SelectField
        label={t('fields.cut')}
        value={layer.shape}
        fullWidth
        choices={pictureShapes.map((shape) => [shape, t(`cuts.${shape}`)] as const)}
        // One of the shapes that are offered.
        onChange={(shape) => onSave({ shape: shape as PictureShape })}
      />
      {slide('zoom', 5, 1)}
      {slide('x', 1, 0)}
      {slide('y', 1, 0)}
    </>
  )
}

function ShapeFields(props: LayerFieldsProps<ShapeLayer>) {
  const { layer, onShow, onSave } = props
  const { t } = useTranslation('collage')
  const bubble = layer.shape === 'speech' || layer.shape === 'thought'
  return (
    <>
      <SelectField
        label={t('fields.shape')}
        value={layer.shape}
        fullWidth
        choices={collageShapes.map((shape) => [shape, t(`shapes.${shape}`)] as const)}
        onChange={(chosen) => {
          // One of the shapes that are offered.
          const shape = chosen as CollageShape
          const isBubble = shape === 'speech' || shape === 'thought'
          const tail: [number, number] = [-layer.width * 0.28, layer.height * 0.85]
          onSave({ shape, ...(isBubble !== bubble && { tail: isBubble ? tail : null }) })
        }}
      />
      <ColourField
        label={t('fields.fill')}
        value={layer.fill ?? 'none'}
        choices={['none', ...collageColours]}
        onChange={(fill) => onSave({ fill: fill === 'none' ? null : fill })}
      />
      <ColourField
        label={t('fields.line')}
        value={layer.line ?? 'none'}
        choices={['none', ...collageColours]}
        onChange={(line) => onSave({ line: line === 'none' ? null : line })}
      />
      {layer.line === null ? null : (
        <SliderField
          label={t('fields.width')}
          value={layer.lineWidth}
          min={1}
          max={40}
          onMove={(lineWidth) => onShow({ lineWidth })}
          onDone={(lineWidth) => onSave({ lineWidth })}
        />
      )}
      <WordsFields {...props} />
    </>
  )
}

function WordsFields({
  layer,
  writing,
  onShow,
  onSave,
}: LayerFieldsProps<ShapeLayer> | LayerFieldsProps<TextLayer>) {
  const { t } = useTranslation('collage')
  const saved = useSavedText(layer.words, (words) => onSave({ words }))
  return (
    <>
      <TextField
        label={t('fields.words')}
        size="small"
        multiline
        minRows={2}
        maxRows={8}
        fullWidth
        value={saved.text}
        inputRef={writing}
        onChange={(event) => {
          saved.change(event.target.value)
          onShow({ words: event.target.value })
        }}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <SelectField
        label={t('fields.font')}
        value={layer.font}
        fullWidth
        choices={collageFonts.map((font) => [font, t(`fonts.${font}`)] as const)}
        // One of the fonts that are offered.
        onChange={(font) => onSave({ font: font as CollageFont })}
      />
      <SliderField
        label={t('fields.size')}
        value={layer.size}
        min={12}
        max={200}
        onMove={(size) => onShow({ size })}
        onDone={(size) => onSave({ size })}
      />
      <ColourField
        label={t('fields.ink')}
        value={layer.ink}
        choices={collageColours}
        onChange={(ink) => onSave({ ink })}
      />
      <ChoiceBar
        label={t('fields.align')}
        value={layer.align}
        choices={(['left', 'center', 'right'] as const).map(
          (align) => [align, t(`aligns.${align}`)] as const,
        )}
        onChange={(align) => onSave({ align })}
      />
    </>
  )
}

function ArrowFields({ layer, onShow, onSave }: LayerFieldsProps<ArrowLayer>) {
  const { t } = useTranslation('collage')
  return (
    <>
      <ColourField
        label={t('fields.colour')}
        value={layer.colour}
        choices={collageColours}
        onChange={(colour) => onSave({ colour })}
      />
      <SliderField
        label={t('fields.width')}
        value={layer.lineWidth}
        min={2}
        max={60}
        onMove={(lineWidth) => onShow({ lineWidth })}
        onDone={(lineWidth) => onSave({ lineWidth })}
      />
      <SliderField
        label={t('fields.bend')}
        value={layer.bend}
        min={-1}
        max={1}
        step={0.05}
        format={percent}
        onMove={(bend) => onShow({ bend })}
        onDone={(bend) => onSave({ bend })}
      />
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={layer.hasHead}
            onChange={(event) => onSave({ hasHead: event.target.checked })}
          />
        }
        label={t('fields.head')}
      />
    </>
  )
}

function NumberFields({ layer, onSave }: LayerFieldsProps<NumberLayer>) {
  const { t } = useTranslation('collage')
  const saved = useSavedText(layer.note, (note) => onSave({ note }))
  return (
    <>
      <TextField
        label={t('fields.note')}
        helperText={t('fields.noteHelp')}
        size="small"
        fullWidth
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      <div className={styles.gap} />
      <ColourField
        label={t('fields.colour')}
        value={layer.colour}
        choices={collageColours}
        onChange={(colour) => onSave({ colour })}
      />
    </>
  )
}
