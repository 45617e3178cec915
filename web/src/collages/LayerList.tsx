// All that lies on the board, the uppermost first: to be found, chosen and read in one place.
import { IconLink, IconLock } from '@tabler/icons-react'
import type { Layer } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

interface LayerListProps {
  readonly arranging: Arranging
  readonly nameOf: (layer: Layer) => string
}

export function LayerList({ arranging, nameOf }: LayerListProps) {
  const { t } = useTranslation('collage')
  const layers = [...arranging.collage.layers].reverse()
  if (layers.length === 0) return <p className={styles.quiet}>{t('layers.empty')}</p>
  return (
    <ol className={styles.layers} aria-label={t('layers.title')}>
      {layers.map((layer) => (
        <li key={layer.id} data-on={arranging.ids.has(layer.id)}>
          <button
            type="button"
            aria-pressed={arranging.ids.has(layer.id)}
            onClick={(event) => arranging.choose(layer.id, event.shiftKey || event.ctrlKey || event.metaKey)}
          >
            <span>{nameOf(layer)}</span>
            {layer.group === null ? null : (
              <IconLink size={15} stroke={1.7} role="img" aria-label={t('layers.grouped')} />
            )}
            {layer.isLocked ? (
              <IconLock size={15} stroke={1.7} role="img" aria-label={t('layers.locked')} />
            ) : null}
          </button>
        </li>
      ))}
    </ol>
  )
}
