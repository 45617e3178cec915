// Where the bytes of an item are.
import type { RenditionKind } from '@valise/core/evidence'

export function renditionAddress(
  { id, version }: { readonly id: string; readonly version: { readonly n: number; readonly look: number } },
  kind: RenditionKind,
): string {
  // A picture that was put right has another address, or what was shown before would stay.
  const look = version.look === 0 ? '' : `?look=${version.look}`
  return `/api/evidence/${id}/versions/${version.n}/${kind}${look}`
}

export function fileAddress(id: string, n: number): string {
  return `/api/evidence/${id}/versions/${n}/file`
}
