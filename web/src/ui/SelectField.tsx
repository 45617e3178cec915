// A choice out of a few, as the browser's own list: it works by keyboard, by touch and at every size.
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { SxProps } from '@mui/material/styles'

interface SelectFieldProps {
  readonly label: string
  readonly value: string
  readonly choices: readonly (readonly [value: string, words: string])[]
  readonly onChange: (value: string) => void
  readonly fullWidth?: boolean
  readonly error?: string | null
  readonly sx?: SxProps
}

export function SelectField({
  label,
  value,
  choices,
  onChange,
  fullWidth = false,
  error,
  sx,
}: SelectFieldProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      fullWidth={fullWidth}
      error={Boolean(error)}
      helperText={error}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ select: { displayEmpty: true } }}
      {...(sx && { sx })}
    >
      {choices.map(([choice, words]) => (
        <MenuItem key={choice} value={choice}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  )
}
