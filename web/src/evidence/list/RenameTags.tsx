// Calling a tag otherwise on all things; a name that is in use makes two tags one, and says so before.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { LONGEST_TAG, toTagKey } from '@valise/core/evidence'
import type { TagsInUse } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { SelectField } from '../../ui/SelectField.tsx'
import { useRenameTag } from '../base/index.ts'
import styles from './QuerySentence.module.css'

export function RenameTags({ tags, onClose }: { readonly tags: TagsInUse; readonly onClose: () => void }) {
  const { t } = useTranslation(['evidence', 'app'])
  const rename = useRenameTag()
  const [tag, setTag] = useState(tags[0]?.tag ?? '')
  const [name, setName] = useState('')
  const [done, setDone] = useState('')
  const key = toTagKey(name)
  const other = key === toTagKey(tag) ? undefined : tags.find((one) => toTagKey(one.tag) === key)
  const count = tags.find((one) => one.tag === tag)?.count ?? 0
  const save = () =>
    rename.mutate(
      { tag, name },
      {
        onSuccess: () => {
          setDone(t('tags.renamed', { tag, name: name.trim() }))
          setName('')
          setTag(tags.find((one) => one.tag !== tag)?.tag ?? '')
        },
      },
    )
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault()
        if (key !== '') save()
      }}
    >
      <h2>{t('tags.rename')}</h2>
      <SelectField
        label={t('tags.which')}
        value={tag}
        choices={tags.map((one) => [one.tag, `${one.tag} (${one.count})`] as const)}
        onChange={setTag}
        fullWidth
      />
      <TextField
        size="small"
        label={t('tags.newName')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_TAG } }}
      />
      <p role="status">
        {other
          ? t('tags.becomeOne', { tag, name: other.tag, count: count + other.count })
          : key === ''
            ? done
            : t('tags.onAll', { count })}
      </p>
      <Refusal error={rename.error} />
      <div className={styles.verbs}>
        <Button type="submit" size="small" disabled={key === ''} loading={rename.isPending}>
          {other ? t('tags.merge') : t('tags.renameVerb')}
        </Button>
        <Button size="small" variant="text" onClick={onClose}>
          {t('tags.back')}
        </Button>
      </div>
    </form>
  )
}
