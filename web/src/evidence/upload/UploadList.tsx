// What is coming in: each file with how far it is, what it became, or what stands in its way.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { uploadQueries } from './uploadQueries.ts'
import { StoppedUpload } from './StoppedUpload.tsx'
import { UploadRow } from './UploadRow.tsx'
import { JustGathered } from './JustGathered.tsx'
import { clearDone } from './sendFiles.ts'
import { isUploading, uploadsHere } from './uploadsHere.ts'
import styles from './UploadList.module.css'

/**
 * @param openId the item whose drawer is open, which is not listed twice
 */
export function UploadList({ openId = null }: { readonly openId?: string | null }) {
  const { t } = useTranslation('evidence')
  const all = uploadsHere.use()
  // New items are listed among what was just added; this list shows what is still going on.
  const here = all.filter(({ state, outcome }) => state !== 'arrived' || outcome?.kind !== 'new')
  const open = useQuery(uploadQueries.open())
  const isHere = (id: string) => all.some(({ uploadId }) => uploadId === id)
  const stopped = (open.data?.open ?? []).filter(({ id }) => !isHere(id))
  if (here.length === 0 && stopped.length === 0) return <JustGathered openId={openId} />
  const coming = here.filter(isUploading).length
  const isWhole = here.every(({ state }) => state !== 'refused')
  const sentence =
    coming > 0
      ? t('uploads.coming', { count: coming })
      : isWhole
        ? t('uploads.done')
        : t('uploads.doneInPart')
  return (
    <>
      <JustGathered openId={openId} />
      <section className={styles.list} aria-label={t('uploads.label')}>
        <header>
          <h2>
            <span role="status">
              {here.length > 0 ? sentence : t('uploads.stopped', { count: stopped.length })}
            </span>
          </h2>
          {coming === 0 && here.length > 0 ? (
            <Button size="small" variant="text" onClick={clearDone}>
              {t('uploads.clear')}
            </Button>
          ) : null}
        </header>
        <ul>
          {here.map((upload) => (
            <UploadRow key={upload.key} upload={upload} />
          ))}
          {stopped.map((upload) => (
            <StoppedUpload key={upload.id} upload={upload} />
          ))}
        </ul>
      </section>
    </>
  )
}
