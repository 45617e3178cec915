// The item itself, as well as a browser can show it; what cannot be shown says what it is and can be saved.
import { readerOf } from '@valise/core/evidence'
import type { Evidence } from '@valise/core/evidence'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { loadNotePreview } from '../../notes/index.ts'
import { Loading } from '../../ui/Fetched.tsx'
import { renditionAddress, useEvidenceWords } from '../base/index.ts'
import { FileCard } from './FileCard.tsx'
import { FilmPreview } from './FilmPreview.tsx'
import { LinkPreview } from './LinkPreview.tsx'
import styles from './Preview.module.css'

const PdfPreview = lazy(async () => ({ default: (await import('./PdfPreview.tsx')).PdfPreview }))
const TablePreview = lazy(async () => ({ default: (await import('./TablePreview.tsx')).TablePreview }))
const SoundPreview = lazy(async () => ({ default: (await import('./SoundPreview.tsx')).SoundPreview }))
const InsidePreview = lazy(async () => ({ default: (await import('./InsidePreview.tsx')).InsidePreview }))
const NotePreview = lazy(async () => ({ default: await loadNotePreview() }))

export function Preview({ item }: { readonly item: Evidence }) {
  return (
    <Suspense fallback={<Loading />}>
      <Shown item={item} />
    </Suspense>
  )
}

function Shown({ item }: { readonly item: Evidence }) {
  const { version, kind } = item
  const reader = readerOf(version.mime)
  if (kind === 'link') return <LinkPreview item={item} />
  if (kind === 'note') return <NotePreview item={item} />
  if (kind === 'video') return <FilmPreview key={version.n} item={item} />
  if (kind === 'audio') return <SoundPreview key={version.n} item={item} />
  if (kind === 'data-table') return <TablePreview item={item} />
  if (version.previewProblem !== null) return <FileCard item={item} />
  if (reader === 'pdf') return <PdfPreview key={version.n} item={item} />
  if (reader !== null) return <InsidePreview key={version.n} item={item} />
  if (version.preview === 'there') return <Picture item={item} />
  return <FileCard item={item} />
}

function Picture({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const address = renditionAddress(item, 'screen')
  return (
    <a className={styles.shown} href={address} target="_blank" rel="noopener">
      <img src={address} alt={t('drawer.large', { title: words.title(item) })} />
    </a>
  )
}
