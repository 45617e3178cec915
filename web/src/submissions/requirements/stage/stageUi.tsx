// A stage of a guide, on screens: it is worked on in the guide itself, where it is asked.
import Link from '@mui/material/Link'
import type { RequirementOf } from '@valise/core/assignments'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import type { FixProps, RequirementUi } from '../RequirementUi.ts'

export const stageUi: RequirementUi<'stage', RequirementOf<'stage'>> = {
  toDraft: (requirement) => requirement,
  fromDraft: (draft) => draft,
  Fields: () => null,
  Fix: ToGuide,
}

function ToGuide({ handIn }: FixProps<'stage'>) {
  const { t } = useTranslation('work')
  const copy = handIn.parts[0]
  return (
    <Link component={RouterLink} to={copy ? `/guide-copies/${copy.id}` : '/guide-copies'}>
      {t('mend.stage')}
    </Link>
  )
}
