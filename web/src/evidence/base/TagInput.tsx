// Tags as a field: typed with what is known offered, each put in by Enter, a comma, or leaving the field.
import Autocomplete from '@mui/material/Autocomplete'
import Chip from '@mui/material/Chip'
import TextField from '@mui/material/TextField'
import { LONGEST_TAG, MOST_TAGS } from '@valise/core/evidence'
import { IconX } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './TagInput.module.css'

interface TagInputProps {
  readonly label: string
  readonly tags: readonly string[]
  readonly options: readonly string[]
  readonly readOnly?: boolean
  readonly onChange: (tags: readonly string[]) => void
}

export function TagInput({ label, tags, options, readOnly = false, onChange }: TagInputProps) {
  const { t } = useTranslation('evidence')
  // Held here: otherwise the field empties whenever the tags change, also while somebody types.
  const [typed, setTyped] = useState('')
  const put = (next: readonly string[]) => {
    setTyped('')
    onChange(next)
  }
  return (
    <Autocomplete
      className={styles.tags ?? ''}
      multiple
      freeSolo
      inputValue={typed}
      onInputChange={(_event, text, reason) => {
        if (reason !== 'input') return
        if (text.includes(',') && text.replaceAll(',', '').trim() !== '') put([...tags, text])
        else setTyped(text)
      }}
      // What was typed and not entered is put on when the field is left: nothing typed is lost.
      onBlur={() => {
        if (typed.trim() !== '') put([...tags, typed])
      }}
      disableClearable
      readOnly={readOnly}
      size="small"
      options={[...options]}
      filterSelectedOptions
      value={[...tags]}
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
          label={label}
          placeholder={tags.length < MOST_TAGS && !readOnly ? t('tags.add') : ''}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, maxLength: LONGEST_TAG },
          }}
        />
      )}
    />
  )
}
