// The drawing of each way in.
import {
  IconBooks,
  IconCamera,
  IconCloud,
  IconDeviceMobile,
  IconFile,
  IconFolder,
  IconLayoutCollage,
  IconLink,
  IconMicrophone,
  IconPencil,
  IconVideo,
} from '@tabler/icons-react'
import type { Source } from './sources.ts'

export const sourceIcons = {
  photo: IconCamera,
  film: IconVideo,
  voice: IconMicrophone,
  files: IconFile,
  folder: IconFolder,
  note: IconPencil,
  collage: IconLayoutCollage,
  link: IconLink,
  drive: IconCloud,
  shelf: IconBooks,
  phone: IconDeviceMobile,
} as const satisfies Record<Source, unknown>
