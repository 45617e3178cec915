// A file that was begun in another window, or before this one was closed: the device has to hand it over once more.
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import { useQueryClient } from '@tanstack/react-query'
import type { Upload } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSize } from '../../ui/useSize.ts'
import { useClassInView } from '../base/index.ts'
import { chooseFiles } from './chooseFiles.ts'
import { giveUpUpload, uploadQueries } from './uploadQueries.ts'
import { isSameFile } from './sendFiles.ts'
import { addFiles } from './addFiles.ts'
import styles from './UploadList.module.css'

export function StoppedUpload({ upload }: { readonly upload: Upload }) {
  const { t } = useTranslation('evidence')
  const size = useSize()
  const client = useQueryClient()
  const classId = useClassInView()
  const [isOther, setIsOther] = useState(false)
  const [problem, setProblem] = useState<unknown>(null)

  const onChoose = async () => {
    const [file] = await chooseFiles()
    if (!file) return
    setIsOther(!isSameFile(upload, file))
    if (!isSameFile(upload, file)) return
    void addFiles([file], upload.replaces === null ? { classId } : { replaces: upload.replaces })
  }
  const onGiveUp = () =>
    giveUpUpload(upload.id)
      .then(() => client.invalidateQueries({ queryKey: uploadQueries.open().queryKey }))
      .catch(setProblem)

  return (
    <li className={styles.row}>
      <div className={styles.name}>
        <bdi>{upload.fileName}</bdi>
        <small data-state="pausing">
          {t('uploads.stoppedAt', { sent: size(upload.received), size: size(upload.bytes) })}
        </small>
      </div>
      <div className={styles.verbs}>
        <Button size="small" onClick={() => void onChoose()}>
          {t('uploads.chooseAgain')}
        </Button>
        <Button size="small" variant="text" onClick={() => void onGiveUp()}>
          {t('uploads.giveUp')}
        </Button>
      </div>
      <LinearProgress
        className={styles.bar ?? ''}
        variant="determinate"
        value={(100 * upload.received) / upload.bytes}
        aria-label={t('uploads.progressOf', { name: upload.fileName })}
      />
      {isOther ? <p role="alert">{t('uploads.otherFile', { name: upload.fileName })}</p> : null}
      <Refusal error={problem} />
    </li>
  )
}
