// Where the bytes of an item are.
import type { RenditionKind } from '@valise/core/evidence'

export function renditionAddress(
  {
    id,
    version,
  }: { readonly id: string; readonly version: { readonly n: number; readonly renderRevision: number } },
  kind: RenditionKind,
): string {
  // A picture that was put right has another address, or what was shown before would stay.
  const renderRevision = version.renderRevision === 0 ? '' : `?renderRevision=${version.renderRevision}`
  return `/api/evidence/${id}/versions/${version.n}/${kind}${renderRevision}`
}

export function fileAddress(id: string, n: number): string {
  return `/api/evidence/${id}/versions/${n}/file`
}
