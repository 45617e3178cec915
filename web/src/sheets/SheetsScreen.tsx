// All question sheets that one may use.
import { useTranslation } from 'react-i18next'
import { OfferedScreen } from '../offers/index.ts'
import { sheetApi } from './queries.ts'
import { TryOut } from './TryOut.tsx'
import { useWithin } from './useWithin.ts'

export function SheetsScreen() {
  const { t } = useTranslation('sheets')
  const words = {
    ...{ place: t('list.place'), sentence: t('list.sentence'), lead: t('list.lead'), begin: t('list.new') },
    ...{ untitled: t('list.untitled'), empty: t('list.empty') },
    size: (count: number) => t('list.size', { count }),
  }
  return (
    <OfferedScreen
      api={sheetApi}
      kind="sheet"
      words={words}
      {...useWithin()}
      inside={(content) => <TryOut content={content} />}
    />
  )
}
