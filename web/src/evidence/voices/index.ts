// Speaking over an item: recording, pointing, playing.
export { MomentList } from './MomentList.tsx'
export { SpeakOver } from './SpeakOver.tsx'
export { findDuration } from './findDuration.ts'
export { readPeaks } from './readPeaks.ts'
export { useSpeaking } from './useSpeaking.ts'
export type { Speaking } from './useSpeaking.ts'
