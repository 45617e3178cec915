// A whole number that may be left out.
import TextField from '@mui/material/TextField'

interface NumberFieldProps {
  readonly label: string
  /** Null and 0 for none. */
  readonly value: number | null
  readonly most: number
  readonly onChange: (value: number | null) => void
}

export function NumberField({ label, value, most, onChange }: NumberFieldProps) {
  return (
    <TextField
      label={label}
      size="small"
      value={value || ''}
      onChange={(event) => {
        const typed = Number(event.target.value.replace(/\D/g, ''))
        onChange(typed === 0 ? null : Math.min(most, typed))
      }}
      slotProps={{ htmlInput: { inputMode: 'numeric' }, inputLabel: { shrink: true } }}
    />
  )
}
