// Finding a licensed picture: its maker, source and licence come along by themselves.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import type { ShelfPicture } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useLicenceName } from '../evidence/base/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useLater } from '../ui/useLater.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { gatherQueries, smallPictureAddress, useSaveFromShelf, useReportPicture } from './queries.ts'
import { toLanding } from './toLanding.ts'
import { useLanded } from './useLanded.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

export function ShelfDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const [words, setWords] = useState('')
  const query = useQuery({
    ...gatherQueries.shelf(useLater(words.trim())),
    placeholderData: (before) => before,
  })
  const save = useSaveFromShelf()
  const landed = useLanded(place)
  return (
    <SourceDialog title={t('shelf.title')} maxWidth="md">
      <TextField
        autoFocus
        type="search"
        size="small"
        label={t('shelf.words')}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <Refusal error={save.error} />
      <Fetched query={query}>
        {({ pictures }) => (
          <>
            <p role="status">{t('shelf.found', { count: pictures.length })}</p>
            <ul className={styles.shelf}>
              {pictures.map((picture) => (
                <Picture
                  key={picture.id}
                  picture={picture}
                  isBusy={save.isPending}
                  onTake={() =>
                    save.mutate({ pictureId: picture.id, landing: toLanding(place) }, { onSuccess: landed })
                  }
                />
              ))}
            </ul>
          </>
        )}
      </Fetched>
    </SourceDialog>
  )
}

interface PictureProps {
  readonly picture: ShelfPicture
  readonly isBusy: boolean
  readonly onTake: () => void
}

function Picture({ picture, isBusy, onTake }: PictureProps) {
  const { t } = useTranslation('gather')
  const licenceName = useLicenceName()
  const [isReporting, setIsReporting] = useState(false)
  const { id, title, maker, licence, shows } = picture
  return (
    <li>
      <img src={smallPictureAddress(id)} alt={shows} loading="lazy" />
      <b>{title}</b>
      <small>
        {maker}, {licenceName(licence)}
      </small>
      {isReporting ? (
        <ReportForm pictureId={id} onClose={() => setIsReporting(false)} />
      ) : (
        <span className={styles.line}>
          <Button size="small" disabled={isBusy} onClick={onTake}>
            {t('shelf.take')}
            <span className="only-heard"> {title}</span>
          </Button>
          <Button size="small" variant="text" onClick={() => setIsReporting(true)}>
            {t('shelf.report')}
            <span className="only-heard"> {title}</span>
          </Button>
        </span>
      )}
    </li>
  )
}

function ReportForm({ pictureId, onClose }: { readonly pictureId: string; readonly onClose: () => void }) {
  const { t } = useTranslation(['gather', 'app'])
  const report = useReportPicture()
  const [words, setWords] = useState('')
  return (
    <form
      className={styles.line}
      onSubmit={(event) => {
        event.preventDefault()
        if (words.trim() !== '') report.mutate({ pictureId, words: words.trim() })
      }}
    >
      <TextField
        autoFocus
        size="small"
        fullWidth
        multiline
        label={t('shelf.why')}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
      <Refusal error={report.error} />
      <Button type="submit" size="small" disabled={words.trim() === ''} loading={report.isPending}>
        {t('shelf.send')}
      </Button>
      <Button size="small" variant="text" onClick={onClose}>
        {t('app:actions.cancel')}
      </Button>
    </form>
  )
}
