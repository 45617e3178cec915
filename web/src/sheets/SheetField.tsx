// Choosing the questions that something is written along, or none.
import { useQuery } from '@tanstack/react-query'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import { sheetQueries } from './queries.ts'

interface SheetFieldProps {
  readonly label: string
  /** Empty for none. */
  readonly value: string
  /** What the chosen one is called, where it may no longer be offered. */
  readonly title?: Localized
  readonly onChange: (sheetId: string) => void
}

export function SheetField({ label, value, title, onChange }: SheetFieldProps) {
  const { t, i18n } = useTranslation('sheets')
  const { data = [] } = useQuery(sheetQueries.list())
  const offered = data.filter(({ n }) => n > 0)
  const nameOf = (text: Localized) => textIn(text, i18n.language) || t('list.untitled')
  const isOffered = value === '' || offered.some(({ id }) => id === value)
  return (
    <SelectField
      label={label}
      value={value}
      onChange={onChange}
      sx={{ minWidth: 200, maxWidth: 360 }}
      choices={[
        ['', t('choose.none')],
        ...(isOffered ? [] : [[value, nameOf(title ?? {})] as const]),
        ...offered.map(({ id, title: text, ownerName }) => {
          const name = nameOf(text)
          return [id, ownerName === null ? name : t('choose.from', { name, owner: ownerName })] as const
        }),
      ]}
    />
  )
}
