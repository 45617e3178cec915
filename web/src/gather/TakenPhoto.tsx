// A photo that was just taken: as it would be put right, beside how it was taken, and what no editing can mend.
import { IconAlertTriangle } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { ResultCanvas } from '../pictures/desk/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import type { PhotoProposal } from './usePhotoProposal.ts'
import styles from './SourceDialog.module.css'

export type TakenView = 'proposed' | 'taken'

interface TakenPhotoProps {
  readonly address: string
  readonly found: PhotoProposal | null
  readonly isPreviewing: boolean
  readonly view: TakenView
  readonly onView: (view: TakenView) => void
}

export function TakenPhoto({ address, found, isPreviewing, view, onView }: TakenPhotoProps) {
  const { t } = useTranslation(['gather', 'bench'])
  const isProposed = found?.bitmap !== null && found?.bitmap !== undefined && view === 'proposed'
  const concealed = found?.proposal.recipe.steps.find((step) => step.kind === 'conceal')
  const count = concealed?.kind === 'conceal' ? concealed.parts.length : 0
  return (
    <>
      <div className={styles.view} data-proposed={isProposed}>
        {isProposed ? (
          <ResultCanvas bitmap={found.bitmap} label={t('photo.proposed')} />
        ) : (
          <img src={address} alt={t('photo.taken')} />
        )}
      </div>
      <div className={styles.line} role="status">
        {isPreviewing ? <p>{t('photo.looking')}</p> : null}
        {found?.bitmap ? (
          <>
            <ChoiceBar
              label={t('photo.whichOne')}
              value={view}
              choices={[
                ['proposed', t('photo.putRight')],
                ['taken', t('photo.asTaken')],
              ]}
              onChange={onView}
            />
            <p>{count > 0 ? t('photo.concealed', { count }) : t('photo.nobody')}</p>
          </>
        ) : null}
      </div>
      {found && found.proposal.faults.length > 0 ? (
        <ul className={styles.faults}>
          {found.proposal.faults.map((fault) => (
            <li key={fault}>
              <IconAlertTriangle size={18} stroke={1.7} aria-hidden />
              {t(`bench:faults.${fault}`)}
            </li>
          ))}
        </ul>
      ) : null}
    </>
  )
}
