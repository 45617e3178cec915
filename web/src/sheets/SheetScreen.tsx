// A question sheet of one's own: written on the left, tried out on the right. Everything is saved by itself.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { InBin } from '../bin/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { sheetQueries } from './queries.ts'
import { useWithin } from './useWithin.ts'
import { SheetBuilder } from './SheetBuilder.tsx'

export function SheetScreen() {
  const { t } = useTranslation('sheets')
  const { id = '' } = useParams()
  const within = useWithin()
  const sheet = useQuery(sheetQueries.own(id))
  if (sheet.data?.binnedAt === null) return <SheetBuilder key={id} sheet={sheet.data} />
  return (
    <Screen place={t('list.place')} {...within} sentence={t('list.place')}>
      <Fetched query={sheet}>{(binned) => <InBin kind="sheet" id={binned.id} />}</Fetched>
    </Screen>
  )
}
