// A set of attributes while it is written, and looked at as a student sees it. Everything is saved by itself.
import { useTranslation } from 'react-i18next'
import { OwnOfferedScreen } from '../offers/index.ts'
import { AttributeSetBuilder } from './AttributeSetBuilder.tsx'
import { attributeSetApi } from './queries.ts'

export function AttributeSetScreen() {
  const { t } = useTranslation('attributes')
  return (
    <OwnOfferedScreen
      api={attributeSetApi}
      kind="attributeSet"
      place={t('list.place')}
      builder={(set) => <AttributeSetBuilder key={set.id} set={set} />}
    />
  )
}
