// Where the bytes of an item are.
import type { RenditionKind } from '@valise/core/evidence'

export function renditionAddress(
  { id, version }: { readonly id: string; readonly version: { readonly n: number } },
  kind: RenditionKind,
): string {
  return `/api/evidence/${id}/versions/${version.n}/${kind}`
}

export function fileAddress(id: string, n: number): string {
  return `/api/evidence/${id}/versions/${n}/file`
}
