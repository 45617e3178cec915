// An address that leads nowhere, inside the frame.
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { Missing } from './Missing.tsx'
import { setPlace } from './place.ts'
import styles from './MissingScreen.module.css'

export function MissingScreen() {
  const { t } = useTranslation()
  // The top bar must not go on naming the place one came from.
  useEffect(() => setPlace({ name: t('states.missingTitle'), parent: '' }), [t])
  return (
    <div className={styles.missing}>
      <Missing />
    </div>
  )
}
