// Recordings whose window closed before they were saved: offered again, on the device that made them.
import Button from '@mui/material/Button'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { addFiles } from '../evidence/upload/index.ts'
import { toPlayTime, useClassInView } from '../evidence/base/index.ts'
import { useSession } from '../session/index.ts'
import { useWhen } from '../ui/useWhen.ts'
import { openRecordingShelf, recordingsHere } from '../media/index.ts'
import type { LeftRecording } from '../media/index.ts'
import { openSource } from './gathering.ts'
import styles from './LeftRecordings.module.css'

export function LeftRecordings() {
  const { t } = useTranslation('evidence')
  const { personId } = useSession()
  const client = useQueryClient()
  const classId = useClassInView()
  const when = useWhen()
  const queryKey = ['gather', 'left', personId]
  const isRecording = openSource.use() !== null
  const here = recordingsHere.use()
  const { data: all = [] } = useQuery({
    queryKey,
    queryFn: async () => (await openRecordingShelf(personId))?.list() ?? [],
    staleTime: 0,
    gcTime: 0,
    // What is being recorded in this window is not left behind.
    enabled: !isRecording,
  })
  const left = all.filter(({ recordingId }) => !here.includes(recordingId))
  if (isRecording || left.length === 0) return null
  const forget = async ({ recordingId }: LeftRecording) => {
    await (await openRecordingShelf(personId))?.remove(recordingId)
    await client.invalidateQueries({ queryKey })
  }
  const save = async (recording: LeftRecording) => {
    const file = await recording.read()
    const place = classId === null ? {} : { classId }
    const { lengthMs } = recording
    await addFiles([file], {
      ...place,
      isMine: true,
      durationMs: Math.round(lengthMs),
      onArrived: () => void forget(recording),
    })
  }
  return (
    <section className={styles.left} aria-label={t('left.label')}>
      {left.map((recording) => (
        <div key={recording.recordingId} className={styles.one}>
          <p>
            {t('left.one', {
              time: when.dayTime(new Date(recording.startedAt)),
              length: toPlayTime(recording.lengthMs),
            })}
          </p>
          <Button size="small" onClick={() => void save(recording)}>
            {t('left.keep')}
          </Button>
          <Button size="small" variant="text" onClick={() => void forget(recording)}>
            {t('left.drop')}
          </Button>
        </div>
      ))}
    </section>
  )
}
