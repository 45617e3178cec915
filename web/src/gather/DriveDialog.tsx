// Taking a document from the shared drive: as it is now, or connected, so that it follows what is written there.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { DriveDocument, DriveFolder } from '@valise/core/evidence'
import { IconFileText, IconFolder } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { gatherQueries, useSaveFromDrive } from './queries.ts'
import { toLanding } from './toLanding.ts'
import { useLanded } from './useLanded.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

export function DriveDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const [folderId, setFolderId] = useState<string | null>(null)
  const query = useQuery(gatherQueries.folder(folderId))
  const save = useSaveFromDrive()
  const landed = useLanded(place)
  const take = (documentId: string, how: 'copy' | 'connected') =>
    save.mutate({ documentId, how, landing: toLanding(place) }, { onSuccess: landed })
  return (
    <SourceDialog title={t('drive.title')} maxWidth="md">
      <p>{t('drive.lead')}</p>
      <Refusal error={save.error} />
      <Fetched query={query}>
        {(folder) => (
          <>
            <Above folder={folder} onGo={setFolderId} />
            {folder.folders.length + folder.documents.length === 0 ? <p>{t('drive.empty')}</p> : null}
            <ul className={styles.folder} aria-label={folder.name}>
              {folder.folders.map(({ id, name }) => (
                <li key={id}>
                  <button type="button" className={styles.open} onClick={() => setFolderId(id)}>
                    <IconFolder size={18} stroke={1.7} aria-hidden="true" />
                    {name}
                  </button>
                </li>
              ))}
              {folder.documents.map((document) => (
                <DocumentRow key={document.id} document={document} isBusy={save.isPending} onTake={take} />
              ))}
            </ul>
          </>
        )}
      </Fetched>
    </SourceDialog>
  )
}

interface AboveProps {
  readonly folder: DriveFolder
  readonly onGo: (id: string | null) => void
}

function Above({ folder, onGo }: AboveProps) {
  const { t } = useTranslation('gather')
  const nameOf = ({ id, name }: { readonly id: string | null; readonly name: string }) =>
    id === null ? t('drive.top') : name
  return (
    <nav className={styles.above} aria-label={t('drive.path')}>
      {folder.above.map((one) => (
        <span key={one.id ?? ''}>
          <button type="button" onClick={() => onGo(one.id)}>
            {nameOf(one)}
          </button>{' '}
          /{' '}
        </span>
      ))}
      <b aria-current="true">{nameOf(folder)}</b>
    </nav>
  )
}

interface DocumentRowProps {
  readonly document: DriveDocument
  readonly isBusy: boolean
  readonly onTake: (id: string, how: 'copy' | 'connected') => void
}

function DocumentRow({ document, isBusy, onTake }: DocumentRowProps) {
  const { t } = useTranslation('gather')
  const when = useWhen()
  const { id, name, changedAt } = document
  return (
    <li>
      <span>
        <IconFileText size={17} stroke={1.7} aria-hidden="true" /> {name}
        <small>{t('drive.changed', { at: when.dayTime(changedAt) })}</small>
      </span>
      <Button size="small" disabled={isBusy} onClick={() => onTake(id, 'copy')}>
        {t('drive.copy')}
        <span className="only-heard"> {name}</span>
      </Button>
      <Button size="small" disabled={isBusy} onClick={() => onTake(id, 'connected')}>
        {t('drive.connect')}
        <span className="only-heard"> {name}</span>
      </Button>
    </li>
  )
}
