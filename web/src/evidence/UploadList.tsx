// What is coming in: each file with how far it is, what it became, or what stands in its way.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { uploadQueries, useDeclareRights } from './queries.ts'
import { StoppedUpload } from './StoppedUpload.tsx'
import { UploadRow } from './UploadRow.tsx'
import { clearDone } from './sendFiles.ts'
import { isOnItsWay, uploadsHere } from './uploadsHere.ts'
import type { UploadHere } from './uploadsHere.ts'
import styles from './UploadList.module.css'

export function UploadList() {
  const { t } = useTranslation('evidence')
  const here = uploadsHere.use()
  const open = useQuery(uploadQueries.open())
  const isHere = (id: string) => here.some(({ uploadId }) => uploadId === id)
  const stopped = (open.data?.open ?? []).filter(({ id }) => !isHere(id))
  if (here.length === 0 && stopped.length === 0) return null
  const coming = here.filter(isOnItsWay).length
  const isWhole = here.every(({ state }) => state !== 'refused')
  const sentence =
    coming > 0
      ? t('uploads.coming', { count: coming })
      : isWhole
        ? t('uploads.done')
        : t('uploads.doneInPart')
  return (
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
      <ArrivedRights uploads={here} />
    </section>
  )
}

/** Several things that came in at once mostly have one maker: said once for all. */
function ArrivedRights({ uploads }: { readonly uploads: readonly UploadHere[] }) {
  const { t } = useTranslation('evidence')
  const declare = useDeclareRights()
  const [declared, setDeclared] = useState<readonly string[]>([])
  const ids = uploads.flatMap(({ outcome }) => (outcome?.kind === 'new' ? [outcome.evidenceId] : []))
  const open = ids.filter((id) => !declared.includes(id))
  if (ids.length === 0 || uploads.some(isOnItsWay)) return null
  return (
    <div className={styles.rights}>
      <Refusal error={declare.error} />
      {open.length > 0 ? (
        <>
          <p>{t('uploads.whoMade', { count: open.length })}</p>
          <Button
            size="small"
            loading={declare.isPending}
            onClick={() =>
              declare.mutate(
                { ids: open, rights: { state: 'mine' } },
                { onSuccess: () => setDeclared([...declared, ...open]) },
              )
            }
          >
            {t('rights.mine')}
          </Button>
        </>
      ) : (
        <p role="status">{t('uploads.rightsKept')}</p>
      )}
    </div>
  )
}
