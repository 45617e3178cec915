// The case mark on a thing: puts it into the tray and takes it out again.
import type { EvidenceRow } from '@valise/core/evidence'
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { OwnIcon } from '../ui/OwnIcon.tsx'
import { trayQueries, useCarry } from './trayQueries.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './PickMark.module.css'

export interface Carrying {
  readonly isIn: boolean
  toggle(): void
}

/** Whether a thing lies in the tray, and the act that changes it. */
export function useCarrying(item: EvidenceRow): Carrying {
  const tray = useQuery(trayQueries.all())
  const carry = useCarry()
  const isIn = tray.data ? tray.data.some(({ id }) => id === item.id) : item.inTray
  return { isIn, toggle: () => carry.mutate({ item, into: !isIn }) }
}

export function PickMark({ item, tabIndex }: { readonly item: EvidenceRow; readonly tabIndex?: number }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const { isIn, toggle } = useCarrying(item)
  const verb = isIn ? t('tray.out') : t('tray.in')
  return (
    <button
      type="button"
      className={styles.mark}
      data-in={isIn}
      title={verb}
      tabIndex={tabIndex}
      aria-label={t('tray.verbOf', { verb, title: words.title(item) })}
      onClick={toggle}
    >
      <OwnIcon name={isIn ? 'pickf' : 'pick'} />
    </button>
  )
}
