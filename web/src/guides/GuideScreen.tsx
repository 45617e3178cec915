// A guide that one writes: on the left as it is written, on the right as a student sees it. Everything is saved by itself.
import { useTranslation } from 'react-i18next'
import { OwnOfferedScreen } from '../offers/index.ts'
import { GuideBuilder } from './GuideBuilder.tsx'
import { guideApi } from './queries.ts'

export function GuideScreen() {
  const { t } = useTranslation('app')
  return (
    <OwnOfferedScreen
      api={guideApi}
      kind="guide"
      place={t('places.guidesSet')}
      builder={(guide) => <GuideBuilder key={guide.id} guide={guide} />}
    />
  )
}
