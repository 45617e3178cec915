// The services outside that this school has, as its settings name them.
import { openDrive } from './drive.ts'
import type { Drive } from './drive.ts'
import type { MediaHost } from './mediaHosts.ts'
import type { LinkReader } from './readLink.ts'
import { openShelf } from './shelf.ts'
import type { Shelf } from './shelf.ts'

const LINK_LIMIT_MS = 5000

/** The outside services; null for those that the school has not set up. */
export interface Outside {
  readonly drive: Drive | null
  readonly shelf: Shelf | null
  readonly links: LinkReader
}

export interface OutsideSettings {
  /** Where the shared drive answers, and the picture shelf; null where the school has none. */
  readonly drive: string | null
  readonly shelf: string | null
  /** Sites whose films and tools may stand in a frame. */
  readonly mediaHosts: readonly MediaHost[]
  /** Hosts that the network of the school does not let through. */
  readonly blockedHosts: readonly string[]
  /** Origins that links may lead to although they are not public; only demo and tests have any. */
  readonly innerOrigins: readonly string[]
}

export function openOutside(settings: OutsideSettings): Outside {
  return {
    drive: settings.drive === null ? null : openDrive(settings.drive),
    shelf: settings.shelf === null ? null : openShelf(settings.shelf),
    links: {
      policy: {
        allowedOrigins: settings.innerOrigins,
        blockedHosts: settings.blockedHosts,
        limitMs: LINK_LIMIT_MS,
      },
      mediaHosts: settings.mediaHosts,
    },
  }
}
