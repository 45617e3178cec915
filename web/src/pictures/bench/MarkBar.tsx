// Marking: with what, in which colour, how large; a mark in the middle for those who do not draw; what each one says.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import TextField from '@mui/material/TextField'
import {
  IconArrowUpRight,
  IconCircle,
  IconLine,
  IconPencil,
  IconPlus,
  IconRectangle,
  IconTrash,
  IconX,
} from '@tabler/icons-react'
import { markColours, pinsOf } from '@valise/core/pictures'
import type { Geometry, Mark, MarkColour } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { useSavedText } from '../../ui/useSavedText.ts'
import { SliderField } from './SliderField.tsx'
import type { MarkTool } from './tools.ts'
import type { DrawKind, Marking } from './useMarking.ts'
import styles from './Bench.module.css'

interface MarkBarProps {
  readonly tool: MarkTool
  readonly marking: Marking
  readonly geometry: Geometry
}

const kinds = {
  arrow: IconArrowUpRight,
  pen: IconPencil,
  line: IconLine,
  rectangle: IconRectangle,
  ellipse: IconCircle,
} as const satisfies Record<DrawKind, typeof IconPencil>

export function MarkBar({ tool, marking, geometry }: MarkBarProps) {
  const { t } = useTranslation('bench')
  const { width, height } = geometry.size
  const addInMiddle = () => {
    const middle = { x: width / 2, y: height / 2 }
    if (tool === 'write') marking.write(middle, geometry)
    else if (tool === 'point') marking.point(middle, null, geometry)
    else marking.draw([{ x: width * 0.4, y: height * 0.6 }, middle], geometry)
  }
  const said =
    tool === 'write'
      ? marking.marks.filter(({ kind }) => kind === 'text')
      : tool === 'point'
        ? pinsOf(marking.marks)
        : []
  return (
    <>
      {tool === 'draw' ? (
        <ChoiceBar
          label={t('mark.with')}
          value={marking.kind}
          choices={(Object.keys(kinds) as DrawKind[]).map((kind) => {
            const KindIcon = kinds[kind]
            return [
              kind,
              <span key={kind} className={styles.withIcon}>
                <KindIcon size={16} stroke={1.7} aria-hidden />
                <span className={styles.wide}>{t(`mark.kinds.${kind}`)}</span>
              </span>,
            ] as const
          })}
          onChange={marking.setKind}
        />
      ) : null}
      {tool === 'point' ? null : (
        <>
          <ChoiceBar
            label={t('mark.colour')}
            value={marking.colour}
            choices={markColours.map((colour) => [colour, <Swatch key={colour} colour={colour} />] as const)}
            onChange={marking.setColour}
          />
          <SliderField
            label={t('mark.weight')}
            value={marking.weight}
            min={1}
            max={8}
            onMove={marking.setWeight}
            onDone={marking.setWeight}
          />
        </>
      )}
      <Button size="small" startIcon={<IconPlus size={18} stroke={1.7} />} onClick={addInMiddle}>
        {t(`mark.add.${tool}`)}
      </Button>
      <Button
        size="small"
        startIcon={<IconTrash size={18} stroke={1.7} />}
        disabled={marking.chosen === null}
        onClick={() => marking.chosen !== null && marking.drop(marking.chosen)}
      >
        {t('mark.drop')}
      </Button>
      {said.length > 0 ? (
        <ol className={styles.said} aria-label={t(`mark.said.${tool === 'write' ? 'write' : 'point'}`)}>
          {said.map((mark, n) => (
            <SaidByMark key={mark.id} mark={mark} n={n + 1} marking={marking} />
          ))}
        </ol>
      ) : null}
    </>
  )
}

function Swatch({ colour }: { readonly colour: MarkColour }) {
  const { t } = useTranslation('bench')
  return (
    <>
      <span className={styles.swatch} data-swatch data-colour={colour} />
      <span className="only-heard">{t(`mark.colours.${colour}`)}</span>
    </>
  )
}

function SaidByMark({
  mark,
  n,
  marking,
}: {
  readonly mark: Mark
  readonly n: number
  readonly marking: Marking
}) {
  const { t } = useTranslation('bench')
  const words = mark.kind === 'text' ? mark.words : mark.kind === 'pin' ? mark.note : ''
  const saved = useSavedText(words, (text) => marking.say(mark.id, text))
  const label = mark.kind === 'pin' ? t('mark.noteOf', { n }) : t('mark.wordsOf', { n })
  return (
    <li data-on={mark.id === marking.chosen}>
      <TextField
        size="small"
        fullWidth
        multiline={mark.kind === 'text'}
        autoFocus={words === '' && mark.id === marking.chosen}
        label={label}
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        onFocus={() => marking.choose(mark.id)}
        slotProps={{ htmlInput: { maxLength: mark.kind === 'pin' ? 1000 : 500 } }}
      />
      <IconButton
        size="small"
        aria-label={t('mark.dropOne', { label })}
        onClick={() => marking.drop(mark.id)}
      >
        <IconX size={16} stroke={1.7} />
      </IconButton>
    </li>
  )
}
