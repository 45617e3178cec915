// What is done with all that is ticked: it floats over the foot of the list, so that nothing moves under the pointer.
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import Popover from '@mui/material/Popover'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { IconLayoutCollage, IconLicense, IconSquareCheck, IconTag, IconTrash } from '@tabler/icons-react'
import { cleanTags } from '@valise/core/evidence'
import type { EvidenceQuery, Rights } from '@valise/core/evidence'
import { MOST_PICTURES_AT_ONCE } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useBinMany } from '../../bin/index.ts'
import { useBeginCollage } from '../../gather/index.ts'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import {
  evidenceQueries,
  findAllIds,
  useCarryMany,
  useDeclareRights,
  useTagMany,
  useTagSuggestions,
} from '../base/index.ts'
import { RightsForm } from '../item/index.ts'
import type { Choosing } from './useChoosing.ts'
import { useClearByEscape } from './useClearByEscape.ts'
import styles from './SelectionBar.module.css'

interface SelectionBarProps {
  readonly choosing: Choosing
  readonly query: EvidenceQuery
  /** How many the query finds. */
  readonly count: number
  readonly onBinned: (ids: readonly string[]) => void
}

export function SelectionBar({ choosing, query, count, onBinned }: SelectionBarProps) {
  const { t } = useTranslation('evidence')
  const { ids, clear } = choosing
  const carry = useCarryMany()
  const bin = useBinMany()
  const collage = useBeginCollage()
  const navigate = useNavigate()
  const [said, setSaid] = useState('')
  const [opened, setOpened] = useState<{ what: 'tag' | 'rights'; at: HTMLElement } | null>(null)
  const isAny = ids.length > 0
  const {} = useClearByEscape(isAny, clear)
  const close = () => setOpened(null)
  const tell = (words: string) => {
    setSaid(words)
    close()
  }
  return (
    <>
      <p role="status" className="only-heard">
        {isAny ? t('choosing.count', { count: ids.length }) : ''} {said}
      </p>
      {isAny ? (
        <div role="toolbar" className={styles.bar} aria-label={t('choosing.label')}>
          <span className={styles.count}>
            <IconSquareCheck size={18} stroke={1.7} aria-hidden="true" />
            {t('choosing.count', { count: ids.length })}
          </span>
          <button type="button" onClick={(event) => setOpened({ what: 'tag', at: event.currentTarget })}>
            <IconTag size={18} stroke={1.7} aria-hidden="true" />
            {t('choosing.tag')}
          </button>
          <button type="button" onClick={(event) => setOpened({ what: 'rights', at: event.currentTarget })}>
            <IconLicense size={18} stroke={1.7} aria-hidden="true" />
            {t('choosing.rights')}
          </button>
          <button
            type="button"
            onClick={() =>
              carry.mutate(ids, { onSuccess: () => tell(t('choosing.carried', { count: ids.length })) })
            }
          >
            <OwnIcon name="pick" />
            {t('tray.in')}
          </button>
          {ids.length > MOST_PICTURES_AT_ONCE ? null : (
            <button
              type="button"
              onClick={() =>
                collage.mutate(
                  { size: 'wide', pictures: [...ids] },
                  { onSuccess: ({ id }) => void navigate(`/evidence/${id}/collage`) },
                )
              }
            >
              <IconLayoutCollage size={18} stroke={1.7} aria-hidden="true" />
              {t('choosing.collage')}
            </button>
          )}
          <button
            type="button"
            onClick={() =>
              bin.mutate(ids, {
                onSuccess: () => {
                  onBinned(ids)
                  clear()
                },
              })
            }
          >
            <IconTrash size={18} stroke={1.7} aria-hidden="true" />
            {t('choosing.bin')}
          </button>
          <button
            type="button"
            className={styles.quiet}
            onClick={() => void findAllIds(query).then(choosing.chooseAll)}
          >
            {t('choosing.all', { count })}
          </button>
          <button type="button" className={styles.quiet} onClick={clear}>
            {t('choosing.none')} <kbd>Esc</kbd>
          </button>
          {said === '' && !carry.error && !bin.error && !collage.error ? null : (
            <div className={styles.said}>
              <span>{said}</span>
              <Refusal error={carry.error ?? bin.error ?? collage.error} />
            </div>
          )}
        </div>
      ) : null}
      <Popover
        open={opened !== null && isAny}
        anchorEl={opened?.at ?? null}
        onClose={close}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{
          paper: {
            className: styles.menu ?? '',
            role: 'dialog',
            'aria-label': t(`choosing.${opened?.what ?? 'tag'}`),
          },
        }}
      >
        {opened?.what === 'tag' ? (
          <TagForm ids={ids} onDone={(count) => tell(t('choosing.tagged', { count }))} />
        ) : (
          <RightsForMany
            ids={ids}
            onClose={close}
            onDone={() => tell(t('choosing.declared', { count: ids.length }))}
          />
        )}
      </Popover>
    </>
  )
}

function TagForm({
  ids,
  onDone,
}: {
  readonly ids: readonly string[]
  readonly onDone: (count: number) => void
}) {
  const { t } = useTranslation('evidence')
  const tag = useTagMany()
  const suggestions = useTagSuggestions(useQuery(evidenceQueries.tags()).data)
  const [tags, setTags] = useState<string[]>([])
  const [typed, setTyped] = useState('')
  const all = cleanTags([...tags, typed])
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault()
        if (all.length > 0) tag.mutate({ ids: [...ids], add: all }, { onSuccess: () => onDone(ids.length) })
      }}
    >
      <Autocomplete
        multiple
        freeSolo
        size="small"
        options={suggestions}
        value={tags}
        inputValue={typed}
        onInputChange={(_event, text, reason) => reason !== 'reset' && setTyped(text)}
        onChange={(_event, next) => {
          setTags(cleanTags(next))
          setTyped('')
        }}
        renderInput={(params) => <TextField {...params} autoFocus label={t('choosing.tagThem')} />}
      />
      <Refusal error={tag.error} />
      <Button type="submit" size="small" disabled={all.length === 0} loading={tag.isPending}>
        {t('choosing.putOn', { count: ids.length })}
      </Button>
    </form>
  )
}

interface RightsForManyProps {
  readonly ids: readonly string[]
  readonly onDone: () => void
  readonly onClose: () => void
}

function RightsForMany({ ids, onDone, onClose }: RightsForManyProps) {
  const { t } = useTranslation('evidence')
  const declare = useDeclareRights()
  const [isOther, setIsOther] = useState(false)
  const save = async (rights: Rights) => {
    await declare.mutateAsync({ ids: [...ids], rights })
    onDone()
  }
  if (isOther) return <RightsForm rights={{ state: 'missing' }} onSave={save} onClose={onClose} />
  return (
    <div className={styles.form}>
      <p>{t('uploads.whoMade', { count: ids.length })}</p>
      <Button
        size="small"
        loading={declare.isPending}
        onClick={() => void save({ state: 'mine' }).catch(() => undefined)}
      >
        {t('rights.mine')}
      </Button>
      <Button size="small" onClick={() => setIsOther(true)}>
        {t('rights.other')}
      </Button>
      <Refusal error={declare.error} />
    </div>
  )
}
