// Files dropped or pasted anywhere come into one's evidence, or where the open screen puts them; a pasted address becomes a link. Without this the browser
// would leave the page for a dropped file.
import { useCallback } from 'react'
import { useTranslation } from 'react-i18next'
import { footNote } from '../../ui/footNote.ts'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import { useWindowDrop } from './useWindowDrop.ts'
import styles from './WindowDrop.module.css'

export function WindowDrop() {
  const { t } = useTranslation('things')
  const tellPictures = useCallback(
    (came: number, lost: number) => {
      const sentences = [
        ...(came > 0 ? [t('add.picturesCame', { count: came })] : []),
        ...(lost > 0 ? [t('add.picturesLost', { count: lost })] : []),
      ]
      footNote.set({ words: sentences.join(' ') })
    },
    [t],
  )
  const { isOver, take } = useWindowDrop(tellPictures)

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
