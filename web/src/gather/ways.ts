// The ways in, in the order in which they are offered, each with its drawing.
import {
  IconBooks,
  IconCamera,
  IconCloud,
  IconDeviceMobile,
  IconFile,
  IconFolder,
  IconLink,
  IconMicrophone,
  IconPencil,
  IconVideo,
} from '@tabler/icons-react'
import type { WayWithDialog } from './gathering.ts'

export type Way = WayWithDialog | 'files' | 'folder'

export const wayIcons = {
  photo: IconCamera,
  film: IconVideo,
  voice: IconMicrophone,
  files: IconFile,
  folder: IconFolder,
  note: IconPencil,
  link: IconLink,
  drive: IconCloud,
  shelf: IconBooks,
  phone: IconDeviceMobile,
} as const satisfies Record<Way, unknown>

export const allWays = [
  ...['photo', 'film', 'voice', 'files', 'folder'],
  ...['note', 'link', 'drive', 'shelf', 'phone'],
] as readonly Way[]
