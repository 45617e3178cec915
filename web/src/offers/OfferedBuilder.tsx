// The frame in which something is written for others: how far it has come, what every kind begins with, its parts, and its foot.
import type { OfferedContent, OwnOffered } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import type { ThingKind } from '@valise/core/things'
import { thingDefinitionOf } from '@valise/core/things'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import type { PlaceName } from '../ui/place.ts'
import type { OfferedApi } from './offeredApi.ts'
import { OfferedFoot } from './OfferedFoot.tsx'
import { OfferedHead } from './OfferedHead.tsx'
import { PublishOffered } from './PublishOffered.tsx'
import type { useLanguages } from './useLanguages.ts'
import type { useOffered } from './useOffered.ts'

interface OfferedBuilderProps<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly kind: ThingKind
  readonly own: OwnOffered<C>
  readonly open: ReturnType<typeof useOffered<C>>
  readonly spoken: ReturnType<typeof useLanguages>
  /** The name of the place where all of them are. */
  readonly parent: string
  readonly within?: PlaceName
  /** What it is called while it has no title. */
  readonly untitled: string
  /** What it still lacks; null where nothing is lacking. */
  readonly lacks: string | null
  /** Whether it is offered to classes only, never to the whole school. */
  readonly isForClassesAlone?: boolean
  readonly panel: ReactNode
  readonly panelLabel: string
  readonly children: ReactNode
}

export function OfferedBuilder<C extends OfferedContent>(props: OfferedBuilderProps<C>) {
  const { api, kind, own, open, spoken, parent, within, untitled, lacks, panel, panelLabel, children } = props
  const { isForClassesAlone = false } = props
  const { i18n } = useTranslation()
  const { document: content, set } = open
  const title = textIn(content.title, i18n.language) || untitled
  return (
    <Screen
      place={title}
      parent={parent}
      {...(within && { within })}
      sentence={title}
      panel={panel}
      panelLabel={panelLabel}
    >
      <PublishOffered
        api={api}
        own={own}
        lacks={lacks}
        isSaved={open.delivery === 'delivered'}
        isForClassesAlone={isForClassesAlone}
      />
      <Refusal error={open.refused} />
      <OfferedHead content={content} spoken={spoken} onChange={(change) => set({ ...content, ...change })} />
      {children}
      <OfferedFoot
        canUndo={open.canUndo}
        onUndo={open.undo}
        bin={own.isMine ? { kind, id: own.id, title, leaveTo: `/${thingDefinitionOf(kind).path}` } : null}
      />
    </Screen>
  )
}
