// The Tray: the base of the case, under every screen; it holds what was picked up.
import { IconChevronDown, IconChevronUp } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useLetterKey } from '../ui/useLetterKey.ts'
import styles from './Tray.module.css'

export function Tray() {
  const { t } = useTranslation()
  const [isOpen, setIsOpen] = useState(false)
  const toggle = () => setIsOpen((open) => !open)
  const letterKeys = useLetterKey('t', toggle)
  const TrayIcon = isOpen ? IconChevronDown : IconChevronUp
  return (
    <section className={styles.tray} aria-label={t('tray.name')} data-open={isOpen}>
      <Corner side="left" />
      <Corner side="right" />
      <div className={styles.words}>
        <h2>{t('tray.name')}</h2>
        <p>{isOpen ? t('tray.emptyHint') : t('tray.empty')}</p>
      </div>
      <button type="button" className={styles.verb} aria-expanded={isOpen} onClick={toggle}>
        <TrayIcon size={18} stroke={1.7} aria-hidden="true" />
        <span className={styles.long}>{isOpen ? t('tray.close') : t('tray.open')}</span>
        <span className={styles.short}>{isOpen ? t('tray.close') : t('tray.openShort')}</span>
        {letterKeys ? <kbd aria-hidden="true">T</kbd> : null}
      </button>
    </section>
  )
}

/** A leather corner; drawn, never to be pressed. */
export function Corner({ side }: { readonly side: 'left' | 'right' }) {
  return (
    <svg className={styles.corner} data-side={side} viewBox="0 0 52 52" aria-hidden="true">
      <path d="M0 4v48h48A48 48 0 000 4z" fill="#B5703A" />
      <path
        d="M1 13a39 39 0 0138 39"
        fill="none"
        stroke="#FBE0C1"
        strokeWidth="1.6"
        strokeDasharray="5 3.5"
      />
      <circle cx="13" cy="40" r="3.2" fill="#FBE0C1" />
    </svg>
  )
}
