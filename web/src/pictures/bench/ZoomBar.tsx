// How large a picture is shown: smaller and larger, with the number between.
import IconButton from '@mui/material/IconButton'
import { IconMinus, IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './Bench.module.css'

const ZOOMS = { least: 1, most: 8 }

export interface Zooming {
  readonly zoom: number
  zoomBy(by: number): void
}

export function useZoom(): Zooming {
  const [zoom, setZoom] = useState(1)
  return {
    zoom,
    zoomBy: (by) => setZoom((before) => Math.min(ZOOMS.most, Math.max(ZOOMS.least, before * by))),
  }
}

export function ZoomBar({ zoom, zoomBy }: Zooming) {
  const { t } = useTranslation('bench')
  return (
    <div className={styles.zoom} role="group" aria-label={t('zoom.label')}>
      <IconButton
        size="small"
        aria-label={t('zoom.out')}
        disabled={zoom <= ZOOMS.least}
        onClick={() => zoomBy(1 / 1.5)}
      >
        <IconMinus size={16} stroke={1.9} />
      </IconButton>
      <output>{Math.round(zoom * 100)} %</output>
      <IconButton
        size="small"
        aria-label={t('zoom.in')}
        disabled={zoom >= ZOOMS.most}
        onClick={() => zoomBy(1.5)}
      >
        <IconPlus size={16} stroke={1.9} />
      </IconButton>
    </div>
  )
}
