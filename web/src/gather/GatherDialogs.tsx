// One dialog for each way in.
import type { ComponentType } from 'react'
import { CollageDialog } from './CollageDialog.tsx'
import { DriveDialog } from './DriveDialog.tsx'
import type { LandingPlace, SourceWithDialog } from './gathering.ts'
import { LinkDialog } from './LinkDialog.tsx'
import { NoteDialog } from './NoteDialog.tsx'
import { PhoneDialog } from './PhoneDialog.tsx'
import { PhotoDialog } from './PhotoDialog.tsx'
import { FilmDialog, VoiceDialog } from './RecordDialog.tsx'
import { ShelfDialog } from './ShelfDialog.tsx'

export interface SourceProps {
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
} as const satisfies Record<SourceWithDialog, ComponentType<SourceProps>>

export function GatherDialogs({ source, place }: SourceProps & { readonly source: SourceWithDialog }) {
  const Shown = dialogs[source]
  return <Shown place={place} />
}
