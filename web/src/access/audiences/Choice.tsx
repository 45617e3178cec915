// One audience to choose, as a sentence with who that is. What the rules forbid is shown with its reason.
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import styles from '../GivePass.module.css'

interface ChoiceProps {
  readonly title: string
  readonly hint: string
  readonly isAllowed: boolean
  readonly isOn: boolean
  readonly onChoose: () => void
  /** What it asks more, once it is chosen. */
  readonly children?: ReactNode
}

export function Choice({ title, hint, isAllowed, isOn, onChoose, children }: ChoiceProps) {
  const { t } = useTranslation('access')
  return (
    <div className={styles.choice} data-on={isOn} data-forbidden={!isAllowed}>
      <label>
        <input type="radio" name="audience" checked={isOn} disabled={!isAllowed} onChange={onChoose} />
        <span>
          <b>{title}</b>
          <small>{isAllowed ? hint : t('give.forbidden')}</small>
        </span>
      </label>
      {children ? <div className={styles.more}>{children}</div> : null}
    </div>
  )
}
