// Tags: typed or taken from those one has used before; each is kept as it is put on or taken off.
import Autocomplete from '@mui/material/Autocomplete'
import Chip from '@mui/material/Chip'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { cleanTags, LONGEST_TAG, MOST_TAGS } from '@valise/core/evidence'
import { IconX } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries } from './queries.ts'
import styles from './Fields.module.css'

interface TagsFieldProps {
  readonly tags: readonly string[]
  readonly readOnly: boolean
  readonly onKeep: (tags: string[]) => Promise<unknown>
}

export function TagsField({ tags, readOnly, onKeep }: TagsFieldProps) {
  const { t } = useTranslation('evidence')
  const inUse = useQuery(evidenceQueries.tags())
  // Shown at once; the next tag is put beside those that are still being kept.
  const [pending, setPending] = useState<string[] | null>(null)
  const shown = pending ?? [...tags]
  // Held here: by itself the field empties whenever the tags are told anew, also while somebody types.
  const [typed, setTyped] = useState('')
  const put = (next: readonly string[]) => {
    const clean = cleanTags(next)
    setTyped('')
    setPending(clean)
    const settle = () => setPending((latest) => (latest === clean ? null : latest))
    void onKeep(clean).then(settle, settle)
  }
  return (
    <Autocomplete
      className={styles.tags ?? ''}
      multiple
      freeSolo
      inputValue={typed}
      onInputChange={(_event, text, reason) => {
        if (reason === 'input') setTyped(text)
      }}
      // What was typed and not entered is put on when the field is left: nothing typed is lost.
      onBlur={() => {
        if (typed.trim() !== '') put([...shown, typed])
      }}
      disableClearable
      readOnly={readOnly}
      size="small"
      options={(inUse.data ?? []).map(({ tag }) => tag)}
      filterSelectedOptions
      value={shown}
      onChange={(_event, next) => put(next)}
      renderValue={(value, getItemProps) =>
        value.map((tag, index) => {
          const { key, onDelete, ...item } = getItemProps({ index })
          return (
            <Chip
              key={key}
              {...item}
              className={styles.tag ?? ''}
              label={tag}
              {...(!readOnly && {
                onDelete,
                deleteIcon: <IconX size={14} aria-label={t('tags.takeOff', { tag })} />,
              })}
            />
          )
        })
      }
      renderInput={(params) => (
        <TextField
          {...params}
          label={t('tags.label')}
          placeholder={shown.length < MOST_TAGS && !readOnly ? t('tags.add') : ''}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, maxLength: LONGEST_TAG },
          }}
        />
      )}
    />
  )
}
