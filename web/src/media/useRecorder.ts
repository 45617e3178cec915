// A recording: start, pause, resume, stop; split into chunks of a fraction of a second, each stored on the device at once.
import { useEffect, useRef, useState } from 'react'
import { useSession } from '../session/index.ts'
import { openRecordingShelf, toFile } from './recordingShelf.ts'
import { noteRecording, recordingsHere } from './recordingsHere.ts'

const PART_MS = 1000

type RecorderState = 'ready' | 'running' | 'paused' | 'ended'

export interface Recorder {
  readonly state: RecorderState
  readonly lengthMs: number
  readonly file: File | null
  /** How long it has run, in milliseconds, to the moment of asking. */
  elapsed(): number
  start(): void
  pause(): void
  goOn(): void
  end(): void
  /** Throws away what was recorded, so that it can be done again. */
  again(): void
  /** The recording is on its way to the server: the device need not keep it any longer. */
  letGo(): Promise<void>
}

/** The first of these that the browser records; all of them play in browsers. */
const kinds = {
  film: ['video/webm;codecs=vp9,opus', 'video/webm;codecs=vp8,opus', 'video/webm', 'video/mp4'],
  voice: ['audio/webm;codecs=opus', 'audio/webm', 'audio/mp4'],
} as const

export function useRecorder(stream: MediaStream | null, what: keyof typeof kinds): Recorder {
  const { personId } = useSession()
  const [state, setState] = useState<RecorderState>('ready')
  const [lengthMs, setLengthMs] = useState(0)
  const [file, setFile] = useState<File | null>(null)
  const running = useRef<{ recorder: MediaRecorder; recordingId: string } | null>(null)
  const clock = useRef(new StopWatch())

  useEffect(() => {
    if (state !== 'running') return
    const timer = setInterval(() => setLengthMs(clock.current.read()), 200)
    return () => clearInterval(timer)
  }, [state])
  // Unmounting stops it in good order: its last chunk is emitted and stored.
  useEffect(
    () => () => {
      const { current } = running
      if (!current || current.recorder.state === 'inactive') return
      current.recorder.stop()
      // From now on it is one that was left behind.
      recordingsHere.set(recordingsHere.get().filter((id) => id !== current.recordingId))
    },
    [],
  )

  const start = () => {
    if (!stream) return
    const mime = kinds[what].find((one) => MediaRecorder.isTypeSupported(one)) ?? ''
    const recorder = new MediaRecorder(stream, mime === '' ? {} : { mimeType: mime })
    const recordingId = crypto.randomUUID()
    const head = { recordingId, mime: recorder.mimeType.split(';')[0] ?? mime, startedAt: Date.now() }
    const parts: Blob[] = []
    const shelf = openRecordingShelf(personId).catch(() => null)
    recorder.addEventListener('dataavailable', ({ data }) => {
      if (data.size === 0) return
      const n = parts.push(data) - 1
      // Where the device cannot keep it, the window still has it.
      void shelf
        .then((open) => open?.append({ ...head, lengthMs: clock.current.read() }, n, data))
        .catch(() => undefined)
    })
    recorder.addEventListener('stop', () => {
      clock.current.pause()
      setLengthMs(clock.current.read())
      setFile(toFile(parts, head))
      setState('ended')
    })
    running.current = { recorder, recordingId }
    noteRecording(recordingId)
    clock.current = new StopWatch()
    clock.current.start()
    recorder.start(PART_MS)
    setState('running')
  }
  const forget = async () => {
    const recordingId = running.current?.recordingId
    running.current = null
    if (recordingId === undefined) return
    const shelf = await openRecordingShelf(personId).catch(() => null)
    await shelf?.remove(recordingId)
  }
  return {
    state,
    lengthMs,
    file,
    start,
    pause: () => {
      running.current?.recorder.pause()
      clock.current.pause()
      setState('paused')
    },
    goOn: () => {
      running.current?.recorder.resume()
      clock.current.start()
      setState('running')
    },
    elapsed: () => clock.current.read(),
    end: () => running.current?.recorder.stop(),
    again: () => {
      void forget()
      setFile(null)
      setLengthMs(0)
      setState('ready')
    },
    letGo: forget,
  }
}

/** How long it ran in all, pauses left out. By the clock of the page, which nobody sets. */
class StopWatch {
  #before = 0
  #since: number | null = null

  start(): void {
    this.#since ??= performance.now()
  }

  pause(): void {
    this.#before = this.read()
    this.#since = null
  }

  read(): number {
    return this.#before + (this.#since === null ? 0 : performance.now() - this.#since)
  }
}
