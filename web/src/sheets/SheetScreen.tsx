// A question sheet of one's own: written on the left, tried out on the right. Everything is saved by itself.
import { useTranslation } from 'react-i18next'
import { OwnOfferedScreen } from '../offers/index.ts'
import { sheetApi } from './queries.ts'
import { SheetBuilder } from './SheetBuilder.tsx'
import { useWithin } from './useWithin.ts'

export function SheetScreen() {
  const { t } = useTranslation('sheets')
  return (
    <OwnOfferedScreen
      api={sheetApi}
      kind="sheet"
      place={t('list.place')}
      {...useWithin()}
      builder={(sheet) => <SheetBuilder key={sheet.id} sheet={sheet} />}
    />
  )
}
