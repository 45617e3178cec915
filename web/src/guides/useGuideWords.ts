// Guides in words: when stages open and close, how far they have come, how a copy is read.
import type { StageOnRoute } from '@valise/core/guides'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'

type StageTimes = Pick<StageOnRoute, 'how' | 'opensAt' | 'closesAt' | 'phase'>

export interface GuideWords {
  text(text: Localized): string
  /** What matters of the times of a stage now: when it opens, or until when it is open. */
  times(stage: StageTimes): string
  progress(stage: Pick<StageOnRoute, 'phase' | 'progress' | 'open'>): string
}

export function useGuideWords(): GuideWords {
  const { t, i18n } = useTranslation('guides')
  const when = useWhen()
  const opens = ({ how, opensAt }: StageTimes) =>
    how === 'at' && opensAt !== null
      ? t('stage.opensAt', { time: when.dayTime(opensAt) })
      : t(`stage.opens.${how}`)
  return {
    text: (text) => textIn(text, i18n.language),
    times: (stage) => {
      if (stage.phase === 'to-come') return opens(stage)
      if (stage.closesAt === null) return ''
      return t(stage.phase === 'closed' ? 'stage.closedAt' : 'stage.openUntil', {
        time: when.dayTime(stage.closesAt),
      })
    },
    progress: ({ phase, progress, open }) => {
      if (phase === 'to-come') return t('stage.toCome')
      return progress === 'in-progress' && open > 0
        ? t('stage.stillToDo', { count: open })
        : t(`progress.${progress}`)
    },
  }
}
