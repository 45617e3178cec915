// The list of the kinds of news, with what each one names.
import type { Static, TSchema } from 'typebox'
import { administratorMade } from './kinds/administratorMade.ts'
import { assignmentSet } from './kinds/assignmentSet.ts'
import { changesAsked } from './kinds/changesAsked.ts'
import { copyOpened } from './kinds/copyOpened.ts'
import { copySealed } from './kinds/copySealed.ts'
import { feedbackGiven } from './kinds/feedbackGiven.ts'
import { guideFeedback } from './kinds/guideFeedback.ts'
import { guideNotHandedIn } from './kinds/guideNotHandedIn.ts'
import { guideSet } from './kinds/guideSet.ts'
import { joinedClass } from './kinds/joinedClass.ts'
import { leftClass } from './kinds/leftClass.ts'
import { passwordChanged } from './kinds/passwordChanged.ts'
import { sealingFailed } from './kinds/sealingFailed.ts'
import { sharedWithMe } from './kinds/sharedWithMe.ts'
import { workAccepted } from './kinds/workAccepted.ts'

export const newsParams = {
  'joined-class': joinedClass,
  'left-class': leftClass,
  'password-changed': passwordChanged,
  'administrator-made': administratorMade,
  'shared-with-me': sharedWithMe,
  'assignment-set': assignmentSet,
  'copy-sealed': copySealed,
  'sealing-failed': sealingFailed,
  'copy-opened': copyOpened,
  'changes-asked': changesAsked,
  'work-accepted': workAccepted,
  'feedback-given': feedbackGiven,
  'guide-set': guideSet,
  'guide-feedback': guideFeedback,
  'guide-not-handed-in': guideNotHandedIn,
} satisfies Record<string, TSchema>

export type NewsKind = keyof typeof newsParams
export type NewsParams<K extends NewsKind> = Static<(typeof newsParams)[K]>

// The list has exactly these keys, which `Object.keys` does not say.
export const newsKinds = Object.keys(newsParams) as NewsKind[]
