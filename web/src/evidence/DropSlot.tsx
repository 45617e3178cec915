// The slot on Today: its sentence holds the ways in as links.
import { Trans, useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { chooseFiles } from './chooseFiles.ts'
import { addFiles } from './addFiles.ts'
import { useClassInView } from './useClassInView.ts'
import styles from './DropSlot.module.css'

export function DropSlot() {
  const { t } = useTranslation('things')
  const classId = useClassInView()
  const choose = async (camera: boolean) => {
    const files = await chooseFiles({ several: !camera, camera })
    if (files.length > 0) void addFiles(files, { classId })
  }
  const verbs = {
    choose: <button type="button" onClick={() => void choose(false)} />,
    photo: <button type="button" onClick={() => void choose(true)} />,
  }
  return (
    <div className={styles.slot}>
      <StitchedBox>
        <p className={styles.byPointer}>
          <Trans t={t} i18nKey="add.slot" components={verbs} />
        </p>
        <p className={styles.byFinger}>
          <Trans t={t} i18nKey="add.slotPhone" components={verbs} />
        </p>
      </StitchedBox>
    </div>
  )
}
