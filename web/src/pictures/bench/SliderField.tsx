// A value from a scale: seen and typed, moved by pointer and keys.
import Slider from '@mui/material/Slider'
import { useId } from 'react'
import styles from './Bench.module.css'

interface SliderFieldProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly step?: number
  readonly format?: (value: number) => string
  readonly onMove: (value: number) => void
  readonly onDone: (value: number) => void
}

export function SliderField(props: SliderFieldProps) {
  const { label, value, min, max, step = 1, format = String, onMove, onDone } = props
  const id = useId()
  return (
    <div className={styles.slider}>
      <span id={id}>{label}</span>
      <Slider
        size="small"
        aria-labelledby={id}
        value={value}
        min={min}
        max={max}
        step={step}
        onChange={(_, next) => onMove(next as number)} // one thumb, so one number
        onChangeCommitted={(_, next) => onDone(next as number)} // as above
        getAriaValueText={format}
        {...(min < 0 && { track: false as const, marks: [{ value: 0 }] })}
      />
      <output>{format(value)}</output>
    </div>
  )
}
