// Which tags: the chosen ones as luggage tags in the sentence, all of them in a menu with their counts.
import Checkbox from '@mui/material/Checkbox'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { toTagKey } from '@valise/core/evidence'
import { IconTag, IconX } from '@tabler/icons-react'
import { Fragment, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { evidenceQueries } from '../base/index.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { ClauseProps, QueryClauseProps } from './QuerySentence.tsx'
import { RenameTags } from './RenameTags.tsx'
import styles from './QuerySentence.module.css'

export function TagClause({ query, onChange, end }: ClauseProps) {
  const { t } = useTranslation('evidence')
  const { tags, tagged } = query
  if (tags.length === 0) return null
  return (
    <>
      {` ${t('query.tagged')} `}
      {tags.map((tag, n) => (
        <Fragment key={tag}>
          {n === 0 ? '' : ` ${t(tagged === 'all' ? 'query.and' : 'query.or')} `}
          <span className={styles.joined}>
            <span className={styles.tagBox}>
              <button
                type="button"
                className={styles.tag}
                aria-label={t('tags.takeOff', { tag })}
                onClick={() => onChange({ tags: tags.filter((one) => one !== tag) })}
              >
                {tag}
                <IconX size={15} stroke={1.7} aria-hidden="true" />
              </button>
            </span>
            {n === tags.length - 1 ? end : ''}
          </span>
        </Fragment>
      ))}
    </>
  )
}

export function TagMenu({ query, onChange }: Pick<QueryClauseProps, 'query' | 'onChange'>) {
  const { t } = useTranslation('evidence')
  return (
    <QueryMenu words={t('query.anyTag')} icon={<IconTag size={17} stroke={1.7} />} label={t('query.tags')}>
      {() => <TagChoices query={query} onChange={onChange} />}
    </QueryMenu>
  )
}

const SHOWN = 60

function TagChoices({ query, onChange }: Pick<QueryClauseProps, 'query' | 'onChange'>) {
  const { t } = useTranslation('evidence')
  const inUse = useQuery(evidenceQueries.tags())
  const [wanted, setWanted] = useState('')
  const [isRenaming, setIsRenaming] = useState(false)
  const { tags, tagged } = query
  const isChosen = (tag: string) => tags.some((one) => toTagKey(one) === toTagKey(tag))
  const fitting = (inUse.data ?? []).filter(({ tag }) => toTagKey(tag).includes(toTagKey(wanted)))
  if (isRenaming) return <RenameTags tags={inUse.data ?? []} onClose={() => setIsRenaming(false)} />
  return (
    <div className={styles.form}>
      <TextField
        size="small"
        autoFocus
        label={t('query.findTag')}
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
      />
      <ChoiceBar
        label={t('query.howTagged')}
        value={tagged}
        choices={[
          ['any', t('query.anyOfThem')],
          ['all', t('query.allOfThem')],
        ]}
        onChange={(next) => onChange({ tagged: next })}
      />
      {inUse.data?.length === 0 ? <p>{t('query.noTags')}</p> : null}
      <ul className={styles.choices}>
        {fitting.slice(0, SHOWN).map(({ tag, count }) => (
          <li key={tag}>
            <label>
              <Checkbox
                size="small"
                checked={isChosen(tag)}
                onChange={(_event, isOn) =>
                  onChange({
                    tags: isOn ? [...tags, tag] : tags.filter((one) => toTagKey(one) !== toTagKey(tag)),
                  })
                }
              />
              {tag}
              <span className={styles.count}>{count}</span>
            </label>
          </li>
        ))}
      </ul>
      {(inUse.data?.length ?? 0) > 0 ? (
        <button type="button" className={styles.quiet} onClick={() => setIsRenaming(true)}>
          {t('tags.renameSome')}
        </button>
      ) : null}
    </div>
  )
}
