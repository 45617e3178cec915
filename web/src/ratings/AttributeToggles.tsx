// Which attributes are looked at: all of them, or one. Each has the mark of its line in the plot.
import { textIn } from '@valise/core/people'
import type { GrowthLine } from '@valise/core/ratings'
import { useTranslation } from 'react-i18next'
import { markOf } from './marks.ts'
import styles from './Ratings.module.css'

interface AttributeTogglesProps {
  readonly lines: readonly GrowthLine[]
  /** Null for all. */
  readonly value: string | null
  readonly onChange: (attributeId: string | null) => void
}

export function AttributeToggles({ lines, value, onChange }: AttributeTogglesProps) {
  const { t, i18n } = useTranslation('ratings')
  if (lines.length < 2) return null
  return (
    <div role="group" aria-label={t('show')} className={styles.toggles}>
      <button type="button" aria-pressed={value === null} onClick={() => onChange(null)}>
        {t('all')}
      </button>
      {lines.map(({ attributeId, name }, n) => {
        const { path, colour, isHollow } = markOf(n)
        const paint = `var(${colour})`
        return (
          <button
            key={attributeId}
            type="button"
            aria-pressed={value === attributeId}
            onClick={() => onChange(attributeId)}
          >
            <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
              <path
                d={path}
                fill={isHollow ? 'none' : paint}
                stroke={paint}
                strokeWidth={isHollow ? 1.8 : 0}
              />
            </svg>
            {textIn(name, i18n.language)}
          </button>
        )
      })}
    </div>
  )
}
