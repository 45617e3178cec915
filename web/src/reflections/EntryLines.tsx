// Entries as a list, each on its day; several can be ticked and moved to another logbook.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconMicrophone } from '@tabler/icons-react'
import { textIn } from '@valise/core/people'
import type { EntryRow } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { MoveEntries } from './MoveEntries.tsx'
import { reflectionQueries } from './queries.ts'
import type { EntryWish } from './queries.ts'
import styles from './Reflections.module.css'

interface EntryLinesProps {
  readonly wish: EntryWish
  readonly isNarrowed: boolean
}

export function EntryLines({ wish, isNarrowed }: EntryLinesProps) {
  const { t } = useTranslation('reflections')
  const list = useInfiniteQuery(reflectionQueries.entries(wish))
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const [ticked, setTicked] = useState<readonly string[]>([])
  const [isMoving, setIsMoving] = useState(false)
  const chosen = items.filter(({ id }) => ticked.includes(id)).map(({ id }) => id)
  const toggle = (id: string) =>
    setTicked((ids) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]))
  return (
    <>
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t(isNarrowed ? 'entries.none' : 'entries.empty')}</Empty>
          ) : (
            <ol className={styles.entries}>
              {items.map((entry) => (
                <EntryLine
                  key={entry.id}
                  entry={entry}
                  isTicked={ticked.includes(entry.id)}
                  onTick={() => toggle(entry.id)}
                />
              ))}
            </ol>
          )
        }
      </Fetched>
      <MoreButton query={list} />
      {chosen.length > 0 ? (
        <div className={styles.chosen} role="toolbar" aria-label={t('entries.chosenLabel')}>
          <span role="status">{t('entries.chosen', { count: chosen.length })}</span>
          <Button onClick={() => setIsMoving(true)}>{t('entries.move')}</Button>
          <Button variant="text" onClick={() => setTicked([])}>
            {t('entries.unchoose')}
          </Button>
        </div>
      ) : null}
      {isMoving ? (
        <MoveEntries
          ids={chosen}
          from={wish.logbookId ?? ''}
          onMoved={() => setTicked([])}
          onClose={() => setIsMoving(false)}
        />
      ) : null}
    </>
  )
}

interface EntryLineProps {
  readonly entry: EntryRow
  readonly isTicked: boolean
  readonly onTick: () => void
}

function EntryLine({ entry, isTicked, onTick }: EntryLineProps) {
  const { t, i18n } = useTranslation('reflections')
  const when = useWhen()
  const { sheet, asked, answered, words, evidence, tags, isSpoken } = entry
  const title = entry.title || t('entries.untitled')
  const facts = [
    ...(sheet && asked > 0
      ? [t('entries.answered', { title: textIn(sheet.title, i18n.language), answered, count: asked })]
      : []),
    ...(words > 0 || !isSpoken ? [t('entries.words', { count: words })] : []),
    ...(evidence > 0 ? [t('entries.evidence', { count: evidence })] : []),
    ...tags,
  ]
  return (
    <li data-ticked={isTicked}>
      <time dateTime={entry.day}>{when.localDay(entry.day)}</time>
      <div>
        <Link component={RouterLink} to={`/entries/${entry.id}`}>
          {title}
        </Link>
        <p>{entry.beginning}</p>
        <small>
          {isSpoken ? (
            <span className={styles.spoken}>
              <IconMicrophone size={15} stroke={1.7} aria-hidden="true" />
              {t('entries.spoken')}
            </span>
          ) : null}
          {facts.join(', ')}
        </small>
      </div>
      <Checkbox
        checked={isTicked}
        onChange={onTick}
        slotProps={{ input: { 'aria-label': t('entries.choose', { title }) } }}
      />
    </li>
  )
}
