// Narrowing the entries of a logbook: by words, tag, questions, what is spoken and what has feedback.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconBook, IconList, IconX } from '@tabler/icons-react'
import { entryMarks } from '@valise/core/reflections'
import type { LogbookFacets } from '@valise/core/reflections'
import { textIn } from '@valise/core/people'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import { useLater } from '../ui/useLater.ts'
import type { EntryWish } from './queries.ts'
import type { WishChange } from './useEntryWish.ts'
import styles from './Reflections.module.css'

interface EntryFiltersProps {
  readonly wish: EntryWish
  readonly facets: LogbookFacets | null
  readonly isNarrowed: boolean
  readonly isReading: boolean
  readonly onChange: (change: WishChange) => void
}

const narrow = { minWidth: 150, maxWidth: 260 }

export function EntryFilters({ wish, facets, isNarrowed, isReading, onChange }: EntryFiltersProps) {
  const { t, i18n } = useTranslation('reflections')
  const { tags = [], sheets = [] } = facets ?? {}
  return (
    <div className={styles.filters} role="search" aria-label={t('filter.label')}>
      <Words key={String(isNarrowed)} words={wish.words ?? ''} onChange={(words) => onChange({ words })} />
      {tags.length > 0 ? (
        <SelectField
          label={t('filter.tag')}
          value={wish.tag ?? ''}
          sx={narrow}
          choices={[
            ['', t('filter.anyTag')],
            ...tags.map(({ tag, count }) => [tag, `${tag} (${count})`] as const),
          ]}
          onChange={(tag) => onChange({ tag })}
        />
      ) : null}
      {sheets.length > 0 ? (
        <SelectField
          label={t('filter.sheet')}
          value={wish.sheetId ?? ''}
          sx={narrow}
          choices={[
            ['', t('filter.anySheet')],
            ...sheets.map(
              ({ id, title, count }) => [id, `${textIn(title, i18n.language)} (${count})`] as const,
            ),
          ]}
          onChange={(sheetId) => onChange({ sheetId })}
        />
      ) : null}
      {entryMarks.map((mark) => (
        <button
          key={mark}
          type="button"
          className={styles.toggle}
          aria-pressed={wish.mark === mark}
          onClick={() => onChange({ mark: wish.mark === mark ? null : mark })}
        >
          {t(`filter.${mark}`)}
        </button>
      ))}
      <SelectField
        label={t('filter.order')}
        value={wish.order ?? 'newest'}
        sx={narrow}
        choices={[
          ['newest', t('filter.newest')],
          ['oldest', t('filter.oldest')],
        ]}
        onChange={(order) => onChange({ order: order === 'oldest' ? order : null })}
      />
      <Button
        variant="text"
        startIcon={isReading ? <IconList size={18} stroke={1.7} /> : <IconBook size={18} stroke={1.7} />}
        onClick={() => onChange({ reading: isReading ? null : '1' })}
      >
        {t(isReading ? 'filter.asList' : 'filter.read')}
      </Button>
      {isNarrowed ? (
        <Button
          variant="text"
          startIcon={<IconX size={18} stroke={1.7} />}
          onClick={() =>
            onChange({ words: null, tag: null, from: null, until: null, sheetId: null, mark: null })
          }
        >
          {t('filter.clear')}
        </Button>
      ) : null}
    </div>
  )
}

/** Looked for once typing pauses. */
function Words({ words, onChange }: { readonly words: string; readonly onChange: (words: string) => void }) {
  const { t } = useTranslation('reflections')
  const [typed, setTyped] = useState(words)
  const later = useLater(typed.trim())
  useEffect(() => {
    if (later !== words) onChange(later)
    // Only what is typed is looked for; the address may say something else by then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [later])
  return (
    <TextField
      type="search"
      size="small"
      label={t('filter.words')}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      slotProps={{ htmlInput: { maxLength: 200 } }}
    />
  )
}
