// Sets of attributes as a room of offered things: those who teach write them, and administrators for the school.
import { attributeSetFaults } from '@valise/core/attributes'
import type { AttributeSetContent } from '@valise/core/attributes'
import { isAssessorRole } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { offeredRoom } from '../offers/index.ts'

const USUAL_STEPS = 4

export const attributeSetRoom = offeredRoom<AttributeSetContent>({
  kind: 'attributeSet',
  shipped: [],
  blank: (title) => ({
    ...{ title, about: {}, attributes: [] },
    steps: Array.from({ length: USUAL_STEPS }, (_, n) => ({ id: `s${n + 1}`, label: {} })),
  }),
  sizeOf: ({ attributes }) => attributes.length,
  mayWrite: ({ administrator, memberships }) =>
    administrator || memberships.some(({ role }) => isAssessorRole(role)),
  faultOf: (content) => {
    const [fault] = attributeSetFaults(content)
    if (!fault) return null
    const params = 'n' in fault ? { n: fault.n } : {}
    return new AppError('invalid', `set-lacks-${fault.what}`, { params })
  },
})
