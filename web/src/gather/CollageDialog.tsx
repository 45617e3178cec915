// Starting a collage: an empty board is saved at once and opened.
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useBeginCollage } from './queries.ts'
import { Loading } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { endGathering } from './gathering.ts'
import { SourceDialog } from './SourceDialog.tsx'

export function CollageDialog() {
  const { t } = useTranslation('gather')
  const navigate = useNavigate()
  const begin = useBeginCollage()
  const hasBegun = useRef(false)
  useEffect(() => {
    if (hasBegun.current) return
    hasBegun.current = true
    begin
      .mutateAsync({ size: 'wide', pictures: [] })
      .then(({ id }) => {
        endGathering()
        return navigate(`/evidence/${id}/collage`, { state: { isNew: true } })
      })
      // The dialog says it.
      .catch(() => undefined)
  })
  return (
    <SourceDialog title={t('collage.title')} cancel={t('note.close')} acts={null} onClose={() => true}>
      {begin.error ? <Refusal error={begin.error} /> : <Loading />}
    </SourceDialog>
  )
}
