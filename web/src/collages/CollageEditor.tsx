// Putting a collage together: what can be laid on the board, the board, and what can be said of what is chosen.
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import type { Evidence } from '@valise/core/evidence'
import type { SavedCollage, Layer } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { NavigationType, useLocation, useNavigationType } from 'react-router'
import { useChangeEvidence } from '../evidence/base/index.ts'
import { SpeakOver, useSpeaking } from '../evidence/voices/index.ts'
import { TitleField } from '../evidence/item/index.ts'
import { benchStyles as bench, BenchFoot, UndoButtons } from '../pictures/bench/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { AddPictures } from './AddPictures.tsx'
import { AlternativeField } from './AlternativeField.tsx'
import { ArrangeBar } from './ArrangeBar.tsx'
import { Board } from './Board.tsx'
import { BoardFields } from './BoardFields.tsx'
import { DrawBar, firstPen } from './DrawBar.tsx'
import { LayerFields } from './LayerFields.tsx'
import { LayerList } from './LayerList.tsx'
import { Palette } from './Palette.tsx'
import { PlaceFields } from './PlaceFields.tsx'
import type { useArranging } from './useArranging.ts'
import { useCollageEditor } from './useCollageEditor.ts'
import styles from './Collage.module.css'

export function CollageEditor({ item, saved }: { readonly item: Evidence; readonly saved: SavedCollage }) {
  const { t } = useTranslation('collage')
  const [drawing, setDrawing] = useState(false)
  const [pen, setPen] = useState(firstPen)
  const [isSnapping, setIsSnapping] = useState(true)
  const location = useLocation()
  // Who begins one wants pictures on it.
  const isBegun = useNavigationType() === NavigationType.Push
  const [isAdding, setIsAdding] = useState(
    // Not when it is loaded anew or come back to: then what was left on the device may still be on its way.
    isBegun && location.state?.isNew === true && saved.collage.layers.length === 0,
  )
  const speaking = useSpeaking()
  const writing = useRef<HTMLTextAreaElement>(null)
  const { inHand, collage, arranging, opened, nameOf, undo, redo, said, layNow, layRows } = useCollageEditor(
    item,
    saved,
  )
  const single = arranging.chosen.length === 1 ? arranging.chosen[0] : undefined
  const write = () => writing.current?.focus()

  return (
    <div className={`${bench.bench} ${styles.editor}`}>
      <Palette
        drawing={drawing ? (pen.isEraser ? 'rubber' : 'pen') : null}
        onPictures={() => setIsAdding(true)}
        onAdd={(what) => {
          setDrawing(false)
          arranging.add(what)
          if (what === 'words' || what === 'bubble') requestAnimationFrame(write)
        }}
        onDraw={(what) => {
          setDrawing(what !== null)
          if (what !== null) setPen({ ...pen, isEraser: what === 'rubber' })
        }}
      />
      <div className={bench.middle}>
        <Board
          {...{ arranging, opened, nameOf, isSnapping, speaking }}
          pen={drawing ? pen : null}
          onWrite={write}
          onDropped={(row) => layRows.current([row])}
        />
        <div className={bench.noProgress} />
        <div className={bench.bar}>
          <UndoButtons {...inHand} undo={undo} redo={redo} />
          <FormControlLabel
            control={
              <Switch
                size="small"
                checked={isSnapping}
                onChange={(event) => setIsSnapping(event.target.checked)}
              />
            }
            label={t('snap')}
          />
          <p className={bench.hint} role="status">
            {inHand.isMerged
              ? t('merged')
              : said || t(drawing ? 'hints.draw' : single ? 'hints.chosen' : 'hints.empty')}
          </p>
        </div>
        <Refusal error={inHand.refused} />
      </div>
      <aside className={bench.panel} aria-label={t('panel')}>
        <h1>{t('question')}</h1>
        {drawing ? (
          <DrawBar pen={pen} onPen={setPen} />
        ) : arranging.chosen.length > 0 ? (
          <section className={styles.section} aria-label={t('chosen.label')}>
            <h2 className={styles.chosen}>
              {single ? nameOf(single) : t('chosen.count', { count: arranging.chosen.length })}
            </h2>
            <ArrangeBar arranging={arranging} />
            {single && !single.isLocked ? (
              <Fields key={single.id} layer={single} {...{ arranging, writing }} />
            ) : null}
          </section>
        ) : (
          <BoardFields arranging={arranging} onMeet={inHand.meet} />
        )}
        <h2 className={styles.head}>{t('layers.title')}</h2>
        <LayerList arranging={arranging} nameOf={nameOf} />
        <h2 className={styles.head}>{t('forOthers')}</h2>
        <Title item={item} />
        <AlternativeField item={item} collage={collage} pictures={inHand.pictures} />
        <div className={styles.section}>
          <SpeakOver item={item} speaking={speaking} canPoint />
        </div>
        <BenchFoot id={item.id} note={t('savedByItself')} />
      </aside>
      {isAdding ? (
        <AddPictures onClose={() => setIsAdding(false)} onChoose={(pictures) => layNow.current(pictures)} />
      ) : null}
    </div>
  )
}

function Title({ item }: { readonly item: Evidence }) {
  const change = useChangeEvidence(item.id)
  return (
    <>
      <TitleField title={item.title} readOnly={false} onSave={(title) => change.mutate({ title })} />
      <Refusal error={change.error} />
    </>
  )
}

interface FieldsProps {
  readonly layer: Layer
  readonly arranging: ReturnType<typeof useArranging>
  readonly writing: React.Ref<HTMLTextAreaElement>
}

function Fields({ layer, arranging, writing }: FieldsProps) {
  // Keyed by id: what was typed last is saved after something else was selected, too.
  const withThem = (to: Partial<Layer>) =>
    arranging.collage.layers.map((one) =>
      // Only fields of the layer's own kind are shown, so what they say fits it.
      one.id === layer.id ? ({ ...one, ...to } as Layer) : one,
    )
  return (
    <>
      <LayerFields
        layer={layer}
        writing={writing}
        onShow={(to) => arranging.show(withThem(to))}
        onSave={(to) => arranging.save(withThem(to))}
      />
      <PlaceFields layer={layer} onSave={(to) => arranging.save(withThem(to))} />
    </>
  )
}
