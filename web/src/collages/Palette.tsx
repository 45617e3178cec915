// What can be laid on the board.
import {
  IconArrowRight,
  IconCircleNumber1,
  IconCircleRectangle,
  IconEraser,
  IconMessage2,
  IconPencil,
  IconPhotoPlus,
  IconTypography,
} from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { benchStyles as bench } from '../pictures/bench/index.ts'
import { addable } from './newLayers.ts'
import type { Addable } from './newLayers.ts'

interface PaletteProps {
  readonly drawing: 'pen' | 'rubber' | null
  readonly onPictures: () => void
  readonly onAdd: (what: Addable) => void
  readonly onDraw: (what: 'pen' | 'rubber' | null) => void
}

const icons = {
  words: IconTypography,
  bubble: IconMessage2,
  shape: IconCircleRectangle,
  arrow: IconArrowRight,
  number: IconCircleNumber1,
} as const satisfies Record<Addable, unknown>

export function Palette({ drawing, onPictures, onAdd, onDraw }: PaletteProps) {
  const { t } = useTranslation('collage')
  return (
    <div className={bench.tools} role="group" aria-label={t('palette.label')}>
      <section aria-label={t('palette.lay')}>
        <h2>{t('palette.lay')}</h2>
        <div className={bench.buttons}>
          <button type="button" className={bench.tool} onClick={onPictures}>
            <IconPhotoPlus size={18} stroke={1.7} aria-hidden />
            {t('palette.pictures')}
          </button>
          {addable.map((what) => {
            const WhatIcon = icons[what]
            return (
              <button key={what} type="button" className={bench.tool} onClick={() => onAdd(what)}>
                <WhatIcon size={18} stroke={1.7} aria-hidden />
                {t(`palette.${what}`)}
              </button>
            )
          })}
        </div>
      </section>
      <section aria-label={t('palette.byHand')}>
        <h2>{t('palette.byHand')}</h2>
        <div className={bench.buttons}>
          {(['pen', 'rubber'] as const).map((what) => {
            const WhatIcon = what === 'pen' ? IconPencil : IconEraser
            return (
              <button
                key={what}
                type="button"
                className={bench.tool}
                aria-pressed={drawing === what}
                onClick={() => onDraw(drawing === what ? null : what)}
              >
                <WhatIcon size={18} stroke={1.7} aria-hidden />
                {t(what === 'pen' ? 'palette.draw' : 'palette.rub')}
              </button>
            )
          })}
        </div>
      </section>
    </div>
  )
}
