// Evidence that was made around the day of an entry and is not in it yet, each put there with one click.
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import { everything } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { evidenceIdsOf } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { addDays } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import styles from './EntryEditor.module.css'

const DAYS_AROUND = 2
const MOST_SHOWN = 8

interface OfThoseDaysProps {
  readonly day: string
  readonly document: PageDocument
  readonly onPut: (item: EvidenceRow) => void
}

export function OfThoseDays({ day, document, onPut }: OfThoseDaysProps) {
  const { t } = useTranslation('reflections')
  const words = useEvidenceWords()
  const around = { from: addDays(day, -DAYS_AROUND), until: addDays(day, DAYS_AROUND) }
  const list = useInfiniteQuery(evidenceQueries.found({ ...everything, ...around }))
  const used = new Set(evidenceIdsOf(document))
  const items = list.data?.pages[0]?.items.filter(({ id }) => !used.has(id)).slice(0, MOST_SHOWN) ?? []
  if (items.length === 0) return null
  return (
    <section className={styles.those} data-print="off">
      <h2>{t('entry.those')}</h2>
      <ul>
        {items.map((item) => (
          <li key={item.id}>
            <button
              type="button"
              aria-label={t('entry.putOf', { title: words.title(item) })}
              title={words.title(item)}
              onClick={() => onPut(item)}
            >
              <Thumbnail item={item} />
              <IconPlus className={styles.plus ?? ''} size={16} stroke={2} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
