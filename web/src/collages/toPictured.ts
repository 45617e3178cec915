// What of an item a board has to know; nothing of what is no picture.
import type { EvidenceRow } from '@valise/core/evidence'
import type { Pictured } from '@valise/core/pictures'

export function toPictured({ id, kind, title, alternativeText, version }: EvidenceRow): Pictured[] {
  const { n, width, height, renderRevision, preview } = version
  if (kind !== 'picture' || preview === 'none' || width === null || height === null) return []
  return [{ evidenceId: id, n, title, alternativeText, width, height, renderRevision }]
}
