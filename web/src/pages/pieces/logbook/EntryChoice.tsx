// Which entries of a logbook a page shows, and in which order.
import { IconListDetails } from '@tabler/icons-react'
import { useQuery } from '@tanstack/react-query'
import { logbookOrders, MOST_ENTRIES_SHOWN } from '@valise/core/pages'
import type { PieceOf } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { reflectionQueries } from '../../../reflections/index.ts'
import { useToday } from '../../../session/index.ts'
import styles from '../../PieceBar.module.css'
import { usePageActs } from '../../usePageEditor.ts'
import type { BarPanel, PanelProps } from '../PieceUi.ts'

export const entryChoicePanel: BarPanel<PieceOf<'logbook'>> = { name: 'entries', Label, Panel: EntryChoice }

function Label() {
  const { t } = useTranslation('pages')
  return (
    <>
      <IconListDetails size={15} stroke={1.7} aria-hidden="true" />
      {t('logbook.entries')}
    </>
  )
}

function EntryChoice({ piece, onClose }: PanelProps<PieceOf<'logbook'>>) {
  const { t } = useTranslation('pages')
  const { setPiece } = usePageActs()
  const today = useToday()
  const { data: facets } = useQuery(reflectionQueries.facets(piece.logbookId, today))
  const change = (choice: Partial<PieceOf<'logbook'>>) => setPiece({ ...piece, ...choice })
  const tags = [
    ...new Set([...(piece.tag === '' ? [] : [piece.tag]), ...(facets?.tags ?? []).map(({ tag }) => tag)]),
  ]
  return (
    <div
      className={styles.fields}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return
        // It closes these fields, and not the piece as well.
        event.stopPropagation()
        onClose()
      }}
    >
      <label>
        {t('logbook.order')}
        <select
          autoFocus
          value={piece.order}
          onChange={(event) => change({ order: event.target.value as (typeof logbookOrders)[number] })}
        >
          {logbookOrders.map((order) => (
            <option key={order} value={order}>
              {t(`logbook.orders.${order}`)}
            </option>
          ))}
        </select>
      </label>
      <label>
        {t('logbook.most')}
        <input
          type="number"
          min={1}
          max={MOST_ENTRIES_SHOWN}
          value={piece.most}
          onChange={(event) => {
            const most = Math.floor(Number(event.target.value) || 1)
            change({ most: Math.min(MOST_ENTRIES_SHOWN, Math.max(1, most)) })
          }}
        />
      </label>
      <label>
        {t('logbook.tag')}
        <select value={piece.tag} onChange={(event) => change({ tag: event.target.value })}>
          <option value="">{t('logbook.anyTag')}</option>
          {tags.map((tag) => (
            <option key={tag} value={tag}>
              {tag}
            </option>
          ))}
        </select>
      </label>
      <label>
        {t('logbook.from')}
        <input
          type="date"
          value={piece.from ?? ''}
          onChange={(event) => change({ from: event.target.value || null })}
        />
      </label>
      <label>
        {t('logbook.until')}
        <input
          type="date"
          value={piece.until ?? ''}
          onChange={(event) => change({ until: event.target.value || null })}
        />
      </label>
      <label data-check>
        <input
          type="checkbox"
          checked={piece.showsDays}
          onChange={(event) => change({ showsDays: event.target.checked })}
        />
        {t('logbook.showsDays')}
      </label>
    </div>
  )
}
