// One dialog for each way in.
import type { ComponentType } from 'react'
import { CollageDialog } from './CollageDialog.tsx'
import { DriveDialog } from './DriveDialog.tsx'
import type { LandingPlace, WayWithDialog } from './gathering.ts'
import { LinkDialog } from './LinkDialog.tsx'
import { NoteDialog } from './NoteDialog.tsx'
import { PhoneDialog } from './PhoneDialog.tsx'
import { PhotoDialog } from './PhotoDialog.tsx'
import { FilmDialog, VoiceDialog } from './RecordDialog.tsx'
import { ShelfDialog } from './ShelfDialog.tsx'

export interface WayProps {
  readonly place: LandingPlace
}

const dialogs = {
  photo: PhotoDialog,
  film: FilmDialog,
  voice: VoiceDialog,
  link: LinkDialog,
  drive: DriveDialog,
  shelf: ShelfDialog,
  note: NoteDialog,
  collage: CollageDialog,
  phone: PhoneDialog,
} as const satisfies Record<WayWithDialog, ComponentType<WayProps>>

export function GatherDialogs({ way, place }: WayProps & { readonly way: WayWithDialog }) {
  const Shown = dialogs[way]
  return <Shown place={place} />
}
