// The receipt: from whom, to whom, what, and the seal, hollow until it is sealed.
import { useTranslation } from 'react-i18next'
import { Seal } from '../ui/Seal.tsx'
import styles from './ReceiptSlip.module.css'

interface ReceiptSlipProps {
  readonly heading: string
  readonly title: string
  readonly from: string
  readonly to: string
  readonly parts: string
  readonly sealed: { readonly number: string; readonly time: string; readonly checksum: string } | null
}

export function ReceiptSlip({ heading, title, from, to, parts, sealed }: ReceiptSlipProps) {
  const { t } = useTranslation('submissions')
  const round = sealed ? t('receipt.roundSealed') : t('receipt.roundNot')
  return (
    <div className={styles.slip} data-sealed={sealed !== null}>
      <p className={styles.heading}>{heading}</p>
      <h2>{title}</h2>
      <dl>
        <dt>{t('receipt.from')}</dt>
        <dd>{from}</dd>
        <dt>{t('receipt.to')}</dt>
        <dd>{to}</dd>
        <dt>{t('receipt.parts')}</dt>
        <dd>{parts}</dd>
      </dl>
      <div className={styles.tear} />
      <div className={styles.foot}>
        <Seal
          size={76}
          isSealed={sealed !== null}
          label={sealed ? t('receipt.sealed', { number: sealed.number }) : t('receipt.notSealed')}
          round={round}
        />
        {sealed ? (
          <div>
            <span>{t('receipt.number')}</span>
            <code>{sealed.number}</code>
            <span>{sealed.time}</span>
            <details>
              <summary>{t('receipt.details')}</summary>
              <span>{t('receipt.checksum')}</span>
              <code>{sealed.checksum}</code>
            </details>
          </div>
        ) : (
          <p>
            <span>{t('receipt.numberAndTime')}</span>
            {t('receipt.whenHandedIn')}
          </p>
        )}
      </div>
    </div>
  )
}
