// An item shown as a file: played inline, offered for download, or only named.
import { isShownAsPicture } from '../../../evidence/index.ts'
import { escapeHtml } from '../../escapeHtml.ts'
import { pageWords } from '../../pageWords.ts'
import type { ShownEvidence } from '../../schema.ts'
import type { HandOut, NewlyShown, PieceDefinition, Rendering } from '../PieceDefinition.ts'
import { renderGone } from '../renderGone.ts'
import { renderCaption, renderCard, renderMoments, renderTranscript, renderVoices } from '../renderItem.ts'
import { isPlayed, itemOf, showsItem, voicesOf } from '../showsItem.ts'
import { COLUMNS } from '../../valueLists.ts'
import type { FilePiece, MarkedMoment } from './schema.ts'

const USUAL_SPAN = 6

export const filePiece: PieceDefinition<FilePiece> = {
  ...showsItem,
  evidence: { accepts: ['file', 'video', 'audio', 'data-table', 'link', 'note'], create: newFilePiece },
  plainText: ({ caption, moments = [] }) =>
    [caption, ...moments.map(({ words }) => words)].filter((words) => words !== '').join('\n'),
  handsOut: (piece, shown) => {
    const item = itemOf(piece, shown)
    if (!item) return []
    return [...(piece.isOffered || isPlayed(item) ? [fileOf(item)] : []), ...voicesOf(item)]
  },
  render: renderFile,
}

/** Makes the piece of a recording that tells something by itself, with what is said in it and when. */
export function newRecordingPiece(
  id: string,
  item: Pick<NewlyShown, 'id'>,
  moments: readonly MarkedMoment[],
): FilePiece {
  return { ...newFilePiece(id, item, COLUMNS), moments: [...moments] }
}

export function isFilePiece(piece: { readonly kind: string }): piece is FilePiece {
  return piece.kind === 'file'
}

function newFilePiece(id: string, { id: evidenceId }: Pick<NewlyShown, 'id'>, span = USUAL_SPAN): FilePiece {
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
    ? `${renderPlayer(piece, item, view)}${renderCaption(piece, item, item.title)}${renderMoments(piece.moments ?? [])}${renderTranscript(item, view)}`
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
