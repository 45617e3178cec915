// Passes and those who look, in words.
import type { Audiences, Pass, Sharing } from '@valise/core/access'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { useThingWords } from '../things/index.ts'
import { useWhen } from '../ui/useWhen.ts'
import { lastMoment } from './lastMoment.ts'
import type { Looker } from './queries.ts'

type Thing = Pick<Sharing['things'][number], 'kind' | 'title'>

export interface AccessWords {
  title(thing: Thing): string
  audience(pass: Pick<Pass, 'audience'>): string
  /** From when until when. */
  time(pass: Pick<Pass, 'from' | 'until' | 'state'>): string
  /** The same, as short as it goes. */
  span(pass: Pick<Pass, 'from' | 'until' | 'state'>): string
  /** What somebody who looks is called in a sentence. */
  looker(looker: Looker, audiences: Audiences, passes: readonly Pass[]): string
  /** A sentence that says whether and until when. */
  can(name: string, until: Instant | null): string
}

export function useAccessWords(): AccessWords {
  const { t } = useTranslation('access')
  const things = useThingWords()
  const when = useWhen()
  const datesOf = ({ from, until }: Pick<Pass, 'from' | 'until'>) => ({
    from: from === null ? '' : when.date(from),
    until: until === null ? '' : when.date(lastMoment(until)),
  })
  return {
    title: things.title,
    audience: ({ audience }) => t(`audience.${audience.kind}`, { name: audience.name }),
    time: ({ from, until, state }) => {
      const words = datesOf({ from, until })
      if (state === 'ended') return t('pass.ended', words)
      if (state === 'to-come') return t(until === null ? 'pass.from' : 'pass.fromUntil', words)
      return t(until === null ? 'pass.since' : 'pass.sinceUntil', words)
    },
    span: ({ from, until, state }) => {
      const words = datesOf({ from, until })
      if (state === 'ended') return t('pass.ended', words)
      if (until !== null) return t('pass.span', words)
      return t(state === 'to-come' ? 'pass.spanToCome' : 'pass.spanOpen', words)
    },
    looker: (looker, { people }, passes) => {
      if (looker.kind === 'stranger') return t('look.stranger')
      if (looker.kind === 'link') return t('look.holder')
      const known = people.find(({ id }) => id === looker.personId)
      return (
        known?.name ?? passes.find(({ audience }) => audience.id === looker.personId)?.audience.name ?? ''
      )
    },
    can: (name, until) => {
      if (until === null) return t('look.can', { name })
      return when.time(until) === '00:00'
        ? t('look.canUntilEnd', { name, until: when.date(lastMoment(until)) })
        : t('look.canUntil', { name, until: when.dayTime(until) })
    },
  }
}
