// Numbers of bytes in words: "840 kB", "12 MB".
import { useTranslation } from 'react-i18next'

const steps = [
  [1_073_741_824, 'gigabyte'],
  [1_048_576, 'megabyte'],
  [1024, 'kilobyte'],
  [1, 'byte'],
] as const

export function useSize(): (bytes: number) => string {
  const { i18n } = useTranslation()
  return (bytes) => {
    const [step, unit] = steps.find(([least]) => bytes >= least) ?? [1, 'byte']
    const value = bytes / step
    const maximumFractionDigits = value < 10 && step > 1024 ? 1 : 0
    return new Intl.NumberFormat(i18n.language, {
      style: 'unit',
      unit,
      unitDisplay: unit === 'byte' ? 'long' : 'short',
      maximumFractionDigits,
    }).format(value)
  }
}
