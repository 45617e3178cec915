// How many can see a thing of one's own, in words.
import { useQuery } from '@tanstack/react-query'
import type { SeenBy } from '@valise/core/access'
import { useTranslation } from 'react-i18next'
import { accessQueries } from './queries.ts'

export interface Seers {
  readonly words: string
  /** Whether somebody else sees it; false while that is being asked. */
  readonly isSeen: boolean
}

export function useSeers(id: string): Seers {
  const { t } = useTranslation('things')
  const { data } = useQuery(accessQueries.seers(id))
  const wordsOf = ({ people, links }: SeenBy) => {
    const named = { people: t('seers.people', { count: people }), links: t('seers.links', { count: links }) }
    if (people > 0 && links > 0) return t('seers.both', named)
    if (people > 0) return named.people
    return links > 0 ? named.links : t('seers.alone')
  }
  return { words: data ? wordsOf(data) : '', isSeen: data !== undefined && data.people + data.links > 0 }
}
