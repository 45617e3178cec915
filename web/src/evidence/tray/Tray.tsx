// The Tray: the base of the case, under every screen; it holds what was picked up until it is taken out.
import { useQuery } from '@tanstack/react-query'
import { IconArrowBarUp, IconChevronDown, IconChevronUp, IconPencil, IconX } from '@tabler/icons-react'
import type { EvidenceRow } from '@valise/core/evidence'
import { MOST_ABOUT } from '@valise/core/reflections'
import { useState } from 'react'
import type { DragEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Corner } from '../../ui/Corner.tsx'
import { useLetterKeys } from '../../ui/useLetterKeys.ts'
import { trayQueries, useCarry, Thumbnail, useEvidenceWords } from '../base/index.ts'
import { draggedItem } from './draggedItem.ts'
import { TRAY_DRAG, trayPlace } from './trayPlace.ts'
import styles from './Tray.module.css'

const NONE: readonly EvidenceRow[] = []

export function Tray() {
  const { t } = useTranslation()
  const [isOpen, setIsOpen] = useState(false)
  const { data: items = NONE } = useQuery(trayQueries.all())
  const toggle = () => setIsOpen((open) => !open)
  const letterKeys = useLetterKeys({ t: toggle })
  const TrayIcon = isOpen ? IconChevronDown : IconChevronUp
  const count = items.length === 0 ? t('tray.empty') : t('tray.count', { count: items.length })
  return (
    <section className={styles.tray} aria-label={t('tray.name')} data-open={isOpen}>
      <Corner side="left" />
      <Corner side="right" />
      <div className={styles.words}>
        <h2>{t('tray.name')}</h2>
        <p role="status">{isOpen && items.length === 0 ? t('tray.emptyHint') : count}</p>
      </div>
      {isOpen ? <Carried items={items} /> : <Glimpse items={items} />}
      <PutAll items={items} />
      <button type="button" className={styles.verb} aria-expanded={isOpen} onClick={toggle}>
        <TrayIcon size={18} stroke={1.7} aria-hidden="true" />
        <span className={styles.long}>{isOpen ? t('tray.close') : t('tray.open')}</span>
        <span className={styles.short}>{isOpen ? t('tray.close') : t('tray.openShort')}</span>
        {letterKeys ? <kbd aria-hidden="true">T</kbd> : null}
      </button>
    </section>
  )
}

/** Small pictures beside the count; the open Tray says what they are. */
function Glimpse({ items }: { readonly items: readonly EvidenceRow[] }) {
  const isTaken = trayPlace.use() !== null
  return (
    <div className={styles.glimpse} aria-hidden="true">
      {items.map((item) => (
        <span key={item.id} className={styles.small} {...dragOf(item, isTaken)}>
          <Thumbnail item={item} />
        </span>
      ))}
    </div>
  )
}

/** What lets a thing be dragged to where the open screen takes it. */
function dragOf(item: EvidenceRow, isTaken: boolean) {
  return {
    draggable: isTaken,
    onDragStart: ({ dataTransfer }: DragEvent) => {
      dataTransfer.setData(TRAY_DRAG, item.id)
      dataTransfer.effectAllowed = 'copy'
      draggedItem.set(item)
    },
    onDragEnd: () => draggedItem.set(null),
  }
}

/** What the open screen would do with all that is carried. */
function PutAll({ items }: { readonly items: readonly EvidenceRow[] }) {
  const place = trayPlace.use()
  const { t } = useTranslation()
  if (items.length === 0) return null
  if (!place)
    return (
      <Link
        className={`${styles.verb} ${styles.put}`}
        to={`/entries/new?about=${items
          .slice(0, MOST_ABOUT)
          .map(({ id }) => id)
          .join(',')}`}
      >
        <IconPencil size={18} stroke={1.7} aria-hidden="true" />
        {t('tray.write')}
      </Link>
    )
  return (
    <button type="button" className={`${styles.verb} ${styles.put}`} onClick={() => place.onAll(items)}>
      <IconArrowBarUp size={18} stroke={1.7} aria-hidden="true" />
      {place.all}
    </button>
  )
}

function Carried({ items }: { readonly items: readonly EvidenceRow[] }) {
  const { t } = useTranslation()
  const words = useEvidenceWords()
  const carry = useCarry()
  const place = trayPlace.use()
  if (items.length === 0) return null
  return (
    <ul className={styles.carried}>
      {items.map((item) => (
        <li key={item.id} {...dragOf(item, place !== null)}>
          <Link to={`/evidence/${item.id}`}>
            <span className={styles.large}>
              <Thumbnail item={item} />
            </span>
            <b>{words.title(item)}</b>
            <small>{words.kind(item)}</small>
          </Link>
          {place ? (
            <button
              type="button"
              className={styles.putOne}
              aria-label={`${place.one}: ${words.title(item)}`}
              title={place.one}
              onClick={() => place.onOne(item)}
            >
              <IconArrowBarUp size={16} stroke={1.9} aria-hidden="true" />
            </button>
          ) : null}
          <button
            type="button"
            aria-label={t('tray.takeOut', { title: words.title(item) })}
            title={t('tray.takeOutShort')}
            onClick={() => carry.mutate({ item, into: false })}
          >
            <IconX size={16} stroke={1.9} aria-hidden="true" />
          </button>
        </li>
      ))}
    </ul>
  )
}
