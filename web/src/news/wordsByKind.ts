// The list of the kinds of news, with what each says.
import type { NewsKind } from '@valise/core/news'
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
import type { NewsWords } from './kinds/NewsWords.ts'

const wordsByKind = {
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
} satisfies { [K in NewsKind]: NewsWords<K> }

export function newsWordsOf<K extends NewsKind>(kind: K): NewsWords<K> {
  // The words under a kind are those of news of this kind, which the compiler does not follow.
  return wordsByKind[kind] as unknown as NewsWords<K>
}
