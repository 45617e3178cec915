// Pages in the hand-in: published, or as they stand in the draft.
import { IconFileText, IconNeedleThread } from '@tabler/icons-react'
import type { ListedPart } from '@valise/core/submissions'
import { LazyPageChooser } from '../LazyPageChooser.ts'
import { PageCopy } from './PageCopy.tsx'
import type { PartUi } from './PartUi.ts'

export const pagePart: PartUi = {
  chosen: {
    add: 'add.page',
    Chooser: LazyPageChooser,
  },
  Icon: PageIcon,
  About: PageCopy,
}

function PageIcon({ part: { copy, publishedAt } }: { readonly part: ListedPart }) {
  const isDraft = copy === 'draft' || publishedAt === null
  const StateIcon = isDraft ? IconNeedleThread : IconFileText
  return <StateIcon size={18} stroke={1.7} aria-hidden="true" />
}
