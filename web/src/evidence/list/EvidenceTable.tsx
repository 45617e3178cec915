// The same things as a table: for those who compare and sort. On a phone each row becomes a labelled block.
import type { EvidenceOrder, EvidenceRow } from '@valise/core/evidence'
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react'
import { memo, useRef } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { useSize } from '../../ui/useSize.ts'
import { useWhen } from '../../ui/useWhen.ts'
import { Thumbnail } from '../base/index.ts'
import { PickMark } from './PickMark.tsx'
import { TickMark } from './TickMark.tsx'
import type { Choosing } from './useChoosing.ts'
import { useMarks } from './useMarks.ts'
import type { Marks } from './useMarks.ts'
import { useVirtualRows } from './useVirtualRows.ts'
import styles from './EvidenceTable.module.css'

const ESTIMATE = 60

interface EvidenceTableProps {
  readonly label: string
  readonly items: readonly EvidenceRow[]
  readonly count: number
  readonly openId: string | null
  readonly choosing: Choosing
  readonly order: EvidenceOrder
  readonly onOrder: (order: EvidenceOrder) => void
  readonly onToggle: (id: string) => void
  readonly drawer: (pointerAt: null) => ReactNode
  readonly onEnd: () => void
}

export function EvidenceTable(props: EvidenceTableProps) {
  const { label, items, count, openId, choosing, order, onOrder, onToggle, drawer, onEnd } = props
  const { t } = useTranslation('evidence')
  const marks = useMarks()
  const body = useRef<HTMLDivElement>(null)
  const virtual = useVirtualRows({
    count: items.length,
    estimate: ESTIMATE,
    keyOf: (n) => items[n]?.id ?? String(n),
    staying: [items.findIndex(({ id }) => id === openId)],
    holder: body,
    onEnd,
  })
  return (
    <div role="table" className={styles.table} aria-label={label} aria-rowcount={count + 1}>
      <div role="rowgroup">
        <div role="row" aria-rowindex={1} className={styles.head}>
          <span role="columnheader">
            <span className="only-heard">{t('table.choose')}</span>
          </span>
          <ColumnHead words={t('table.title')} own={['title']} order={order} onOrder={onOrder} />
          <span role="columnheader">{t('table.kind')}</span>
          <ColumnHead words={t('table.made')} own={['latest', 'oldest']} order={order} onOrder={onOrder} />
          <span role="columnheader">{t('table.rights')}</span>
          <span role="columnheader">{t('table.size')}</span>
          <span role="columnheader">
            <span className="only-heard">{t('table.tray')}</span>
          </span>
        </div>
      </div>
      <div ref={body} role="rowgroup" className={styles.body} style={{ height: virtual.height }}>
        {virtual.rows.map(({ index, start, key }) => {
          const item = items[index]
          if (!item) return null
          return (
            <div
              key={key}
              ref={virtual.measure}
              data-index={index}
              className={styles.place}
              style={{ transform: `translateY(${start}px)` }}
              role="presentation"
            >
              <Row
                item={item}
                n={index}
                isOpen={item.id === openId}
                choosing={choosing}
                marks={marks}
                onOpen={onToggle}
              />
              {item.id === openId ? (
                <div role="row">
                  <div role="cell">{drawer(null)}</div>
                </div>
              ) : null}
            </div>
          )
        })}
      </div>
    </div>
  )
}

interface ColumnHeadProps {
  readonly words: string
  /** The orders that this column stands for; a second press takes the other one. */
  readonly own: readonly [EvidenceOrder, EvidenceOrder?]
  readonly order: EvidenceOrder
  readonly onOrder: (order: EvidenceOrder) => void
}

function ColumnHead({ words, own, order, onOrder }: ColumnHeadProps) {
  const [first, second] = own
  const isDown = order === 'latest'
  const isOwn = own.includes(order)
  const Arrow = isDown ? IconArrowDown : IconArrowUp
  return (
    <span role="columnheader" aria-sort={isOwn ? (isDown ? 'descending' : 'ascending') : 'none'}>
      <button type="button" onClick={() => onOrder(order === first && second ? second : first)}>
        {words}
        {isOwn ? <Arrow size={15} stroke={1.7} aria-hidden="true" /> : null}
      </button>
    </span>
  )
}

interface RowProps {
  readonly item: EvidenceRow
  readonly n: number
  readonly isOpen: boolean
  readonly choosing: Choosing
  readonly marks: Marks
  readonly onOpen: (id: string) => void
}

const Row = memo(function Row({ item, n, isOpen, choosing, marks, onOpen }: RowProps) {
  const { t, words } = marks
  const when = useWhen()
  const size = useSize()
  return (
    <div role="row" aria-rowindex={n + 2} className={styles.row} data-open={isOpen}>
      <span role="cell" className={styles.tick}>
        <TickMark item={item} choosing={choosing} marks={marks} />
      </span>
      <span role="cell" className={styles.title}>
        <button type="button" data-tile={item.id} aria-expanded={isOpen} onClick={() => onOpen(item.id)}>
          <span className={styles.picture}>
            <Thumbnail item={item} />
          </span>
          <b>{words.title(item)}</b>
        </button>
      </span>
      <span role="cell" data-head={t('table.kind')}>
        {words.kind(item)}
      </span>
      <span role="cell" data-head={t('table.made')}>
        {when.day(item.madeAt)}
      </span>
      <span role="cell" data-head={t('table.rights')} data-missing={item.rightsState === 'missing'}>
        {t(`table.rightsStates.${item.rightsState}`)}
      </span>
      <span role="cell" data-head={t('table.size')} className={styles.number}>
        {size(item.version.bytes)}
      </span>
      <span role="cell" className={styles.pick}>
        <PickMark item={item} marks={marks} />
      </span>
    </div>
  )
})
