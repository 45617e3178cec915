// Sets of attributes in the bin.
import { usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'

export const attributeSetInBin: InBin = usualInBin
