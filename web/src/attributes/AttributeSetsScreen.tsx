// All sets of attributes that one may use or is writing.
import { useTranslation } from 'react-i18next'
import { OfferedScreen } from '../offers/index.ts'
import { SetLook } from './SetLook.tsx'
import { attributeSetApi } from './queries.ts'

export function AttributeSetsScreen() {
  const { t } = useTranslation('attributes')
  const words = {
    ...{ place: t('list.place'), sentence: t('list.sentence'), lead: t('list.lead'), begin: t('list.new') },
    ...{ untitled: t('list.untitled'), empty: t('list.empty') },
    size: (count: number) => t('list.size', { count }),
  }
  return (
    <OfferedScreen
      api={attributeSetApi}
      kind="attributeSet"
      words={words}
      inside={(content) => <SetLook content={content} />}
    />
  )
}
