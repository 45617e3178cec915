// A recording over an item: it begins, ends and is saved together with what was pointed at.
import { useEffect } from 'react'
import { useMedia, useObjectUrl, useRecorder } from '../../media/index.ts'
import { addFiles } from '../upload/index.ts'
import type { SpeakRecorderProps } from './SpeakRecorder.tsx'

interface Recording extends Pick<SpeakRecorderProps, 'item' | 'speaking' | 'onClose'> {
  /** The film that is spoken over, where it is one. */
  readonly film: SpeakRecorderProps['film'] | undefined
}

export function useSpeakRecorder({ item, speaking, film, onClose }: Recording) {
  const media = useMedia({ camera: false, microphone: true })
  const recorder = useRecorder(media.stream, 'voice')
  const { lengthMs, file } = recorder
  const address = useObjectUrl(file)
  const { begin, end, clear } = speaking
  // Leaving loses nothing: the recorder stores a running recording on this device.
  useEffect(() => clear, []) // eslint-disable-line react-hooks/exhaustive-deps
  const start = () => {
    recorder.start()
    begin(recorder.elapsed)
    void film?.()?.play()
  }
  const stop = () => {
    end()
    recorder.end()
    film?.()?.pause()
  }
  const again = () => {
    clear()
    recorder.again()
  }
  const save = () => {
    if (!file) return
    void addFiles([file], {
      ...{ isMine: true, durationMs: Math.round(lengthMs), about: item.id, moments: speaking.moments },
      onArrived: () => void recorder.letGo(),
    })
    clear()
    onClose()
  }
  return { media, recorder, address, start, stop, again, save }
}
