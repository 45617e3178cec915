// In which order.
import { evidenceOrders } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { QueryMenu } from './QueryMenu.tsx'
import type { QueryClauseProps } from './QuerySentence.tsx'
import styles from './QuerySentence.module.css'

export function OrderClause({ query, onChange }: QueryClauseProps) {
  const { t } = useTranslation('evidence')
  return (
    <QueryMenu words={t(`query.orders.${query.order}`)} label={t('query.order')}>
      {(close) => (
        <ul className={styles.choices}>
          {evidenceOrders.map((order) => (
            <li key={order}>
              <button
                type="button"
                aria-pressed={order === query.order}
                onClick={() => {
                  onChange({ order })
                  close()
                }}
              >
                {t(`query.orders.${order}`)}
              </button>
            </li>
          ))}
        </ul>
      )}
    </QueryMenu>
  )
}
