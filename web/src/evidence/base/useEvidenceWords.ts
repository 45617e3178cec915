// What things are called on the screens: their title, or what they are and when they were made.
import type { EvidenceRow } from '@valise/core/evidence'
import type { TFunction } from 'i18next'
import { useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../../ui/useWhen.ts'
import type { When } from '../../ui/useWhen.ts'
import { toPlayTime } from './playTime.ts'

type Titled = Pick<EvidenceRow, 'title' | 'kind' | 'madeAt'>

export interface EvidenceWords {
  /** The title, or "Picture of 24 Nov" where nobody has said yet what it is. */
  title(item: Titled): string
  /** Picture, 24 Nov; Sound 1:42, 3 Nov; File 14 pages, 24 Oct */
  line(item: Titled & Pick<EvidenceRow, 'version'>): string
  /** Picture */
  kind(item: Pick<EvidenceRow, 'kind'>): string
}

export function useEvidenceWords(): EvidenceWords {
  const { t } = useTranslation('things')
  const when = useWhen()
  return useMemo(() => wordsWith(t, when), [t, when])
}

function wordsWith(t: TFunction<'things'>, when: When): EvidenceWords {
  return {
    title: (item) => item.title || t(`untitled.${item.kind}`, { date: when.date(item.madeAt) }),
    line: (item) => {
      const { durationMs, pages } = item.version
      const more =
        durationMs === null
          ? pages === null
            ? ''
            : ` ${t('pagesCount', { count: pages })}`
          : ` ${toPlayTime(durationMs)}`
      return t('kindAndDate', { kind: t(`kinds.${item.kind}`) + more, date: when.date(item.madeAt) })
    },
    kind: ({ kind }) => t(`kinds.${kind}`),
  }
}
