// An item shown as a file: played inline, offered for download, or only named.
import { isShownAsPicture } from '../../../evidence/index.ts'
import { escapeHtml } from '../../escapeHtml.ts'
import { pageWords } from '../../pageWords.ts'
import type { ShownEvidence } from '../../schema.ts'
import type { HandOut, NewlyShown, PieceDefinition, Rendering } from '../PieceDefinition.ts'
import { renderGone } from '../renderGone.ts'
import { renderCaption, renderCard, renderTranscript, renderVoices } from '../renderItem.ts'
import { isPlayed, itemOf, showsItem, voicesOf } from '../showsItem.ts'
import type { FilePiece } from './schema.ts'

const USUAL_SPAN = 6

export const filePiece: PieceDefinition<FilePiece> = {
  ...showsItem,
  evidence: { accepts: ['file', 'video', 'audio', 'data-table', 'link', 'note'], create: newFilePiece },
  handsOut: (piece, shown) => {
    const item = itemOf(piece, shown)
    if (!item) return []
    return [...(piece.isOffered || isPlayed(item) ? [fileOf(item)] : []), ...voicesOf(item)]
  },
  render: renderFile,
}

function newFilePiece(id: string, { id: evidenceId }: NewlyShown, span = USUAL_SPAN): FilePiece {
  return { id, kind: 'file', span, evidenceId, version: 'follow', caption: '', isOffered: true }
}

/** Of a picture the rendition: the original is its owner's alone, whatever shows it. */
function fileOf(item: ShownEvidence): HandOut {
  return isShownAsPicture(item.kind)
    ? { name: 'file', what: 'screen', item, isMade: item.hasPicture }
    : { name: 'file', what: 'file', item, isMade: true }
}

function renderFile(piece: FilePiece, { view }: Rendering): string {
  const item = itemOf(piece, view.shown)
  if (!item) return renderGone(view)
  const inner = isPlayed(item)
    ? `${renderPlayer(piece, item, view)}${renderCaption(piece, item, item.title)}${renderTranscript(item, view)}`
    : `${renderCard(item, view.lang, renderOffer(piece, item, view))}${renderCaption(piece, item)}`
  return `<figure>${inner}</figure>${renderVoices(piece, item, view)}`
}

function renderPlayer(piece: FilePiece, item: ShownEvidence, view: Rendering['view']): string {
  const source = escapeHtml(view.address(piece.id, fileOf(item)))
  const label = escapeHtml(item.title || item.fileName)
  const player = item.mime.startsWith('video/') ? 'video' : 'audio'
  return `<${player} src="${source}" controls preload="metadata" aria-label="${label}"></${player}>`
}

function renderOffer(piece: FilePiece, item: ShownEvidence, view: Rendering['view']): string {
  const words = pageWords(view.lang)
  if (!piece.isOffered) return `<small>${words.notOffered}</small>`
  const file = fileOf(item)
  if (!file.isMade) return ''
  const label = escapeHtml(item.title || item.fileName)
  const source = escapeHtml(view.address(piece.id, file))
  return `<a href="${source}" download="${escapeHtml(item.fileName)}">${words.take}<span class="only-heard"> ${label}</span></a>`
}
