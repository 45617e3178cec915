// What the use cases of gathering work with: what evidence takes, and the services outside.
import type { EvidenceServices } from '../evidence/index.ts'
import type { Outside } from '../outside/index.ts'

export interface GatheringServices extends EvidenceServices {
  readonly config: EvidenceServices['config'] & { readonly publicAddress: string }
  readonly outside: Outside
}
