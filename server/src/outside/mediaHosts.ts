// Sites whose films and tools may stand in a frame: each with the pages that show one thing, and the frame of it.
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'
import type { Static } from 'typebox'

export const mediaHostSchema = object({
  name: Type.String({ minLength: 1 }),
  kind: Type.Enum(['player', 'embed']),
  page: Type.String({ description: 'The address of a page, with {id} where the thing is named' }),
  frame: Type.String({ description: 'The address of what stands in the frame, with {id}' }),
  oembed: Type.Optional(Type.String({ description: 'Where the site answers by oEmbed 1.0' })),
})
export type MediaHost = Static<typeof mediaHostSchema>

export interface KnownMedia {
  readonly host: MediaHost
  readonly frame: string
}

/** Returns the media that an address of a known site shows. */
export function knownMedia(address: string, hosts: readonly MediaHost[]): KnownMedia | null {
  for (const host of hosts) {
    const [before = '', behind = ''] = host.page.split('{id}')
    if (!address.startsWith(before) || !address.endsWith(behind)) continue
    const id = address.slice(before.length, address.length - behind.length)
    if (/^[\w-]{1,80}$/.test(id)) return { host, frame: host.frame.replace('{id}', id) }
  }
  return null
}

/** Returns the origins from which frames are allowed. */
export function frameOrigins(hosts: readonly MediaHost[]): string[] {
  return [...new Set(hosts.map(({ frame }) => new URL(frame.replace('{id}', 'x')).origin))]
}
