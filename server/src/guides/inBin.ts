// Guides and copies of guides in the bin.
import { AppError } from '@valise/core/problems'
import { usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'
import { hasCopies } from './copyStore.ts'

export const guideInBin: InBin = {
  ...usualInBin,

  // Those who have begun it need its instructions.
  assertMayGo: async (reader, { id }) => {
    if (await hasCopies(reader, id)) throw new AppError('conflict', 'guide-has-copies')
  },
}

export const guideCopyInBin: InBin = usualInBin
