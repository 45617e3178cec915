// Recordings that are made or on their way in this window: they are not left behind.
import { createStore } from '../ui/createStore.ts'

export const recordingsHere = createStore<readonly string[]>([])

export function noteRecording(recordingId: string): void {
  recordingsHere.set([...recordingsHere.get(), recordingId])
}
