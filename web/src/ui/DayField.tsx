// A day, or a day with its hour: typed part by part or picked from a calendar, in the order and words of the reader.
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns'
import { DatePicker } from '@mui/x-date-pickers/DatePicker'
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker'
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import { esES } from '@mui/x-date-pickers/locales'
import type { PickersLocaleText } from '@mui/x-date-pickers/locales'
import { IconCalendarEvent } from '@tabler/icons-react'
import { format, isValid, parseISO } from 'date-fns'
import { enGB } from 'date-fns/locale/en-GB'
import { es } from 'date-fns/locale/es'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'

interface DayFieldProps {
  readonly label: string
  /** A local day, or with `hasTime` a local time; empty for none. */
  readonly value: string
  /** Told of whole days alone; empty while what is typed is not one. */
  readonly onChange: (value: string) => void
  readonly hasTime?: boolean
  readonly help?: string
}

const FIRST_YEAR = 1900
const LAST_YEAR = 2099

// Texts that are there in full; their type only leaves open that one could be missing.
const spanish = esES.components.MuiLocalizationProvider.defaultProps.localeText as Partial<PickersLocaleText>
const wordsOf = { en: { locale: enGB, texts: {} }, es: { locale: es, texts: spanish } } as const

export function DayField({ label, value, onChange, hasTime = false, help }: DayFieldProps) {
  const { t, i18n } = useTranslation('problems')
  const [typed, setTyped] = useState(() => toDate(value))
  const [reported, setReported] = useState(value)
  const [isBroken, setIsBroken] = useState(false)
  // What is half typed stays until another day comes from outside.
  if (reported !== value) {
    setReported(value)
    if (value !== toText(typed, hasTime)) setTyped(toDate(value))
  }
  const { locale, texts } = wordsOf[i18n.language === 'es' ? 'es' : 'en']
  const props = {
    label,
    value: typed,
    onChange: (date: Date | null) => {
      setTyped(date)
      const next = toText(date, hasTime)
      if (next !== value) onChange(next)
    },
    onError: (error: unknown) => setIsBroken(error !== null),
    minDate: new Date(FIRST_YEAR, 0, 1),
    maxDate: new Date(LAST_YEAR, 11, 31),
    slots: { openPickerIcon: CalendarIcon },
    slotProps: {
      textField: { size: 'small' as const, helperText: isBroken ? t('fields.unfinished-day') : help },
      openPickerButton: { size: 'small' as const },
    },
  }
  return (
    <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={locale} localeText={texts}>
      {hasTime ? <DateTimePicker {...props} ampm={false} /> : <DatePicker {...props} />}
    </LocalizationProvider>
  )
}

function CalendarIcon() {
  return <IconCalendarEvent size={18} stroke={1.7} aria-hidden="true" />
}

function toDate(value: string): Date | null {
  return value === '' ? null : parseISO(value)
}

function toText(date: Date | null, hasTime: boolean): string {
  if (date === null || !isValid(date)) return ''
  const year = date.getFullYear()
  if (year < FIRST_YEAR || year > LAST_YEAR) return ''
  return format(date, hasTime ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd')
}
