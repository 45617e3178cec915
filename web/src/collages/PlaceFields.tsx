// Where a layer stands and how it is turned, in numbers: for those who want it exact, and for keys alone.
import TextField from '@mui/material/TextField'
import type { Layer } from '@valise/core/pictures'
import { normalTurn } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './Collage.module.css'

const fields = ['x', 'y', 'width', 'height', 'turn'] as const
type Field = (typeof fields)[number]

interface PlaceFieldsProps {
  readonly layer: Layer
  readonly onSave: (to: Partial<Layer>) => void
}

export function PlaceFields({ layer, onSave }: PlaceFieldsProps) {
  const { t } = useTranslation('collage')
  return (
    <div className={styles.places} role="group" aria-label={t('placeFields.label')}>
      {fields.map((field) => (
        <PlaceField key={field} field={field} value={layer[field]} onSave={onSave} />
      ))}
    </div>
  )
}

interface PlaceFieldProps {
  readonly field: Field
  readonly value: number
  readonly onSave: (to: Partial<Layer>) => void
}

function PlaceField({ field, value, onSave }: PlaceFieldProps) {
  const { t } = useTranslation('collage')
  const [typed, setTyped] = useState<string | null>(null)
  const finish = () => {
    setTyped(null)
    const number = Number((typed ?? '').replace(',', '.'))
    // What is no number leaves things where they are.
    if (typed === null || typed.trim() === '' || !Number.isFinite(number)) return
    onSave({ [field]: limited(field, number) })
  }
  return (
    <TextField
      size="small"
      label={t(`placeFields.${field}`)}
      value={typed ?? String(Math.round(value))}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter') finish()
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 8 } }}
    />
  )
}

function limited(field: Field, value: number): number {
  if (field === 'turn') return normalTurn(value)
  const most = 10_000
  return Math.min(most, Math.max(field === 'width' || field === 'height' ? 4 : -most, value))
}
