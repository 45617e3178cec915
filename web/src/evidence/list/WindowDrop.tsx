// Files dropped or pasted anywhere come into one's evidence, or where the open screen puts them; a pasted address becomes a link. Without this the browser
// would leave the page for a dropped file.
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import { useWindowDrop } from './useWindowDrop.ts'
import styles from './WindowDrop.module.css'

export function WindowDrop() {
  const { t } = useTranslation('things')
  const { isOver, take } = useWindowDrop()

  // A screen with places of its own shows itself where they would go.
  if (!isOver || take) return null
  return (
    <div className={styles.over} aria-hidden="true">
      <StitchedBox>
        <p>{t('add.dropHere')}</p>
      </StitchedBox>
    </div>
  )
}
