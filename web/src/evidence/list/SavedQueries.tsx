// Saved searches: the current one can be saved, saved ones are one press away.
import Button from '@mui/material/Button'
import Popover from '@mui/material/Popover'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { IconBookmark, IconX } from '@tabler/icons-react'
import { LONGEST_QUERY_NAME } from '@valise/core/evidence'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { Refusal } from '../../ui/Refusal.tsx'
import { evidenceQueries, useLetQueryGo, useSaveQuery } from '../base/index.ts'
import styles from './SavedQueries.module.css'

/**
 * @param search the current search, as in the address
 */
export function SavedQueries({ search }: { readonly search: string }) {
  const { t } = useTranslation('evidence')
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const close = () => setAnchor(null)
  return (
    <>
      <Button
        size="small"
        variant="text"
        startIcon={<IconBookmark size={17} stroke={1.7} />}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {t('saved.button')}
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        slotProps={{
          paper: { className: styles.menu ?? '', role: 'dialog', 'aria-label': t('saved.button') },
        }}
      >
        <SavedList search={search} onClose={close} />
      </Popover>
    </>
  )
}

function SavedList({ search, onClose }: { readonly search: string; readonly onClose: () => void }) {
  const { t } = useTranslation('evidence')
  const saved = useQuery(evidenceQueries.saved())
  const save = useSaveQuery()
  const letGo = useLetQueryGo()
  const navigate = useNavigate()
  const [name, setName] = useState('')
  const field = useRef<HTMLInputElement>(null)
  return (
    <div className={styles.list}>
      {saved.data?.length === 0 ? <p>{t('saved.empty')}</p> : null}
      <ul>
        {(saved.data ?? []).map((one) => (
          <li key={one.id}>
            <button
              type="button"
              aria-current={one.query === search}
              onClick={() => {
                void navigate({ pathname: '/evidence', search: one.query })
                onClose()
              }}
            >
              {one.name}
            </button>
            <button
              type="button"
              className={styles.drop}
              aria-label={t('saved.letGo', { name: one.name })}
              onClick={() => letGo.mutate(one.id)}
            >
              <IconX size={16} stroke={1.7} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          // Before the button is disabled: the popover would take a focus that is lost for a moment.
          field.current?.focus()
          if (name.trim() !== '') save.mutate({ name, query: search }, { onSuccess: () => setName('') })
        }}
      >
        <TextField
          size="small"
          fullWidth
          inputRef={field}
          label={t('saved.name')}
          required
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST_QUERY_NAME } }}
        />
        <Button type="submit" size="small" disabled={name.trim() === ''} loading={save.isPending}>
          {t('saved.keep')}
        </Button>
      </form>
      <Refusal error={save.error ?? letGo.error} />
    </div>
  )
}
