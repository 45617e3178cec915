// What a licence is called: most have a name of their own, some have to be said in words.
import { licences } from '@valise/core/evidence'
import type { LicenceId } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'

export function useLicenceName(): (id: LicenceId) => string {
  const { t } = useTranslation('evidence')
  return (id) =>
    licences[id].name ?? t(id === 'public-domain' ? 'licences.public-domain' : 'licences.permission')
}
