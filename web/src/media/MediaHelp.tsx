// What to do when the camera or the microphone cannot be used.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import type { MediaTrouble } from './useMedia.ts'
import styles from './MediaHelp.module.css'

interface MediaHelpProps {
  readonly trouble: MediaTrouble
  readonly what: 'camera' | 'microphone'
  readonly onAgain: () => void
}

export function MediaHelp({ trouble, what, onAgain }: MediaHelpProps) {
  const { t } = useTranslation('gather')
  return (
    <div className={styles.help} role="alert">
      <h3>{t(`trouble.${trouble}.${what}`)}</h3>
      {trouble === 'refused' ? (
        <ol>
          <li>{t('trouble.step1')}</li>
          <li>{t(`trouble.step2.${what}`)}</li>
          <li>{t('trouble.step3')}</li>
        </ol>
      ) : (
        <p>{t(`trouble.${trouble}.then`)}</p>
      )}
      <div>
        <Button size="small" onClick={onAgain}>
          {t('trouble.again')}
        </Button>
      </div>
    </div>
  )
}
