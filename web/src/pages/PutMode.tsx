// Putting by keyboard: arrows move the place, Enter puts, Escape gives up. What is said is said aloud too.
import Button from '@mui/material/Button'
import { useEffect, useRef } from 'react'
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { isSamePlace, listPlaces } from './places.ts'
import { useHeldName } from './useHeldName.ts'
import { usePage } from './usePageEditor.ts'
import styles from './PutMode.module.css'

export function PutMode() {
  const { t } = useTranslation('pages')
  const { held, target, aim, put, letGo, draft } = usePage()
  const name = useHeldName()
  const bar = useRef<HTMLDivElement>(null)
  const isHolding = held !== null
  useEffect(() => {
    if (isHolding) bar.current?.focus()
  }, [isHolding])
  useEffect(() => {
    if (target) document.querySelector('[data-target="true"]')?.scrollIntoView({ block: 'nearest' })
  }, [target])
  if (!held) return null

  const places = listPlaces(draft.document)
  const at = places.findIndex((place) => isSamePlace(target, place))
  const step = (by: number) => {
    const next = places[at + by]
    if (next) aim(next)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const isOnBar = event.target === bar.current
    if (event.key === 'ArrowDown' || event.key === 'ArrowRight') step(1)
    else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') step(-1)
    else if (event.key === 'Enter' && isOnBar && target) put(target)
    else if (event.key === 'Escape') letGo()
    else return
    event.preventDefault()
  }
  const rowOf = (rowId: string | null) => draft.document.rows.findIndex(({ id }) => id === rowId) + 1
  const where =
    target?.kind === 'in-row'
      ? t('put.inRow', { row: rowOf(target.rowId) })
      : t('put.newRow', { row: rowOf(target?.after ?? null) + 1 })
  return (
    <div
      ref={bar}
      className={styles.bar}
      role="application"
      tabIndex={0}
      aria-label={t('put.label', { name })}
      onKeyDown={onKeyDown}
    >
      <b>{t('put.holding', { name })}</b>
      <span role="status">{where}</span>
      <span className={styles.how}>{t('put.how')}</span>
      <Button size="small" onClick={letGo}>
        {t('put.letGo')}
      </Button>
    </div>
  )
}
