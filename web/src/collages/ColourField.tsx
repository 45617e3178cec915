// One of our colours, or none: swatches with names.
import { boardColours } from '@valise/core/pictures'
import type { CollageColour } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import styles from './Collage.module.css'

interface ColourFieldProps<T extends CollageColour | 'none'> {
  readonly label: string
  readonly value: T
  readonly choices: readonly T[]
  readonly onChange: (colour: T) => void
}

export function ColourField<T extends CollageColour | 'none'>(props: ColourFieldProps<T>) {
  const { label, value, choices, onChange } = props
  const { t } = useTranslation('collage')
  return (
    <div className={styles.field}>
      <span className={styles.label} aria-hidden>
        {label}
      </span>
      <ChoiceBar
        label={label}
        value={value}
        choices={choices.map((colour) => [
          colour,
          <span
            key={colour}
            className={styles.colour}
            title={t(`colours.${colour as CollageColour | 'none'}`)}
          >
            <Swatch colour={colour} />
            <span className="only-heard">{t(`colours.${colour as CollageColour | 'none'}`)}</span>
          </span>,
        ])}
        onChange={onChange}
      />
    </div>
  )
}

function Swatch({ colour }: { readonly colour: CollageColour | 'none' }) {
  return colour === 'none' ? (
    <span className={styles.swatch} data-swatch data-none />
  ) : (
    <span className={styles.swatch} data-swatch style={{ background: boardColours[colour] }} />
  )
}
