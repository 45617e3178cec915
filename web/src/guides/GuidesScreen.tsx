// All guides that an assessor writes or may use.
import { useTranslation } from 'react-i18next'
import { OfferedScreen } from '../offers/index.ts'
import { GuideTryOut } from './GuideTryOut.tsx'
import { guideApi } from './queries.ts'

export function GuidesScreen() {
  const { t } = useTranslation(['guides', 'app'])
  const words = {
    ...{ place: t('app:places.guidesSet'), sentence: t('list.sentence'), lead: t('list.lead') },
    ...{ begin: t('list.new'), untitled: t('list.untitled'), empty: t('list.empty') },
    size: (count: number) => t('list.size', { count }),
  }
  return (
    <OfferedScreen
      api={guideApi}
      kind="guide"
      words={words}
      inside={(content) => <GuideTryOut content={content} />}
    />
  )
}
