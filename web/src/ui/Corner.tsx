// A leather corner of the case, at the foot of every screen.
import styles from './Corner.module.css'

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
