// What a thing looks like at a glance: its picture, or a card that says what sort of file it is.
import {
  IconFile,
  IconFileMusic,
  IconLink,
  IconMovie,
  IconPencil,
  IconPhotoOff,
  IconTable,
} from '@tabler/icons-react'
import { extensionOf } from '@valise/core/evidence'
import type { EvidenceKind, EvidenceRow } from '@valise/core/evidence'
import { renditionAddress } from './addresses.ts'
import styles from './Thumbnail.module.css'

const icons = {
  picture: IconPhotoOff,
  collage: IconPhotoOff,
  video: IconMovie,
  audio: IconFileMusic,
  'data-table': IconTable,
  file: IconFile,
  link: IconLink,
  note: IconPencil,
} as const satisfies Record<EvidenceKind, unknown>

/** Decorative, because the title is beside it. It fills its box. */
export function Thumbnail({ item }: { readonly item: EvidenceRow }) {
  const { version, kind } = item
  if (version.preview === 'there') {
    return (
      <img
        className={styles.picture}
        src={renditionAddress(item, 'thumbnail')}
        alt=""
        decoding="async"
        draggable={false}
      />
    )
  }
  if (version.preview === 'making') return <span className={styles.making} />
  const KindIcon = icons[kind]
  return (
    <span className={styles.card} data-kind={kind} aria-hidden="true">
      <KindIcon size={26} stroke={1.5} />
      {kind === 'link' || kind === 'note' ? null : <b>{extensionOf(version.fileName).toUpperCase()}</b>}
    </span>
  )
}

/** Returns width over height, for layout. */
export function ratioOf({ version }: EvidenceRow): number {
  return version.width && version.height ? version.width / version.height : 4 / 3
}
