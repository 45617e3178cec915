// File sizes in words, the same on every screen, on published pages and in sealed copies.

const steps = [
  [1_073_741_824, 'gigabyte'],
  [1_048_576, 'megabyte'],
  [1024, 'kilobyte'],
  [1, 'byte'],
] as const

/**
 * Formats a number of bytes in the largest fitting unit, such as "840 kB" or "1.5 MB".
 *
 * @param locale a language tag; its digits and unit names are used
 */
export function sizeInWords(bytes: number, locale: string): string {
  const [step, unit] = steps.find(([least]) => bytes >= least) ?? [1, 'byte']
  const value = bytes / step
  const maximumFractionDigits = value < 10 && step > 1024 ? 1 : 0
  return new Intl.NumberFormat(locale, {
    style: 'unit',
    unit,
    unitDisplay: unit === 'byte' ? 'long' : 'short',
    maximumFractionDigits,
  }).format(value)
}
