// Adding a web link: an address becomes a title, a description and a preview before it is saved.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { PreviewedLink } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import type { SourceProps } from './GatherDialogs.tsx'
import { useSaveLink, usePreviewLink } from './queries.ts'
import { toLanding } from './toLanding.ts'
import { useLanded } from './useLanded.ts'
import { pastedAddress } from './pastedAddress.ts'
import { SourceDialog } from './SourceDialog.tsx'
import styles from './SourceDialog.module.css'

export function LinkDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const previewLink = usePreviewLink()
  const save = useSaveLink()
  const landed = useLanded(place)
  const [address, setAddress] = useState(() => pastedAddress.get())
  const [title, setTitle] = useState<string | null>(null)
  const found = previewLink.data
  const showPreview = () => {
    setTitle(null)
    previewLink.mutate(address)
  }
  const onSave = () => {
    if (!found) return
    const said = (title ?? found.title).trim()
    save.mutate(
      { address: found.address, ...(said !== '' && { title: said }), landing: toLanding(place) },
      { onSuccess: landed },
    )
  }
  return (
    <SourceDialog
      title={t('link.title')}
      acts={
        <Button
          variant="contained"
          color="primary"
          disabled={!found || previewLink.isPending}
          loading={save.isPending}
          onClick={onSave}
        >
          {t('link.keep')}
        </Button>
      }
    >
      <form
        className={styles.line}
        onSubmit={(event) => {
          event.preventDefault()
          if (address.trim() !== '') showPreview()
        }}
      >
        <TextField
          autoFocus
          size="small"
          label={t('link.address')}
          required
          placeholder="https://"
          value={address}
          onChange={(event) => setAddress(event.target.value)}
          sx={{ flex: '1 1 260px' }}
          slotProps={{ htmlInput: { inputMode: 'url', maxLength: 2000 } }}
        />
        <Button type="submit" disabled={address.trim() === ''} loading={previewLink.isPending}>
          {t('link.preview')}
        </Button>
      </form>
      <Refusal error={previewLink.error ?? save.error} />
      {found ? <Found found={found} title={title ?? found.title} onTitle={setTitle} /> : null}
    </SourceDialog>
  )
}

interface FoundProps {
  readonly found: PreviewedLink
  readonly title: string
  readonly onTitle: (title: string) => void
}

function Found({ found, title, onTitle }: FoundProps) {
  const { t } = useTranslation(['gather', 'evidence'])
  const { siteName, description, state, frame, known } = found
  return (
    <div className={styles.looked} role="status">
      <TextField
        size="small"
        fullWidth
        label={t('evidence:drawer.whatIsThis')}
        value={title}
        onChange={(event) => onTitle(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <small>{siteName}</small>
      {description === '' ? null : <p>{description}</p>}
      {frame === null ? null : <small>{t(`link.frames.${frame.kind}`, { site: frame.site })}</small>}
      {state === 'there' ? null : <p data-state={state}>{t(`evidence:link.states.${state}`)}</p>}
      {known === null ? null : <p>{t('link.known')}</p>}
    </div>
  )
}
