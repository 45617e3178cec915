// The list of the kinds of things that passes are given for, with what each says on the sharing screens.
import type { SharedKind } from '@valise/core/things'
import { collection } from './collection.ts'
import { page } from './page.ts'
import type { SharedUi } from './SharedUi.ts'

export const sharedByKind = { page, collection } satisfies Record<SharedKind, SharedUi>
