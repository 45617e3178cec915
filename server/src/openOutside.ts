// The services outside that this school has, as its settings name them.
import type { Config } from './config.ts'
import { openDrive, openShelf } from './outside/index.ts'
import type { Outside } from './services.ts'

const LINK_LIMIT_MS = 5000

export function openOutside(config: Config): Outside {
  return {
    drive: config.drive === null ? null : openDrive(config.drive),
    shelf: config.shelf === null ? null : openShelf(config.shelf),
    links: {
      policy: {
        allowedOrigins: config.innerOrigins,
        blockedHosts: config.blockedHosts,
        limitMs: LINK_LIMIT_MS,
      },
      mediaHosts: config.mediaHosts,
    },
  }
}
