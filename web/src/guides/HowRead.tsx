// Who set a guide, for which class, when it is due, and how a copy is read: said before anybody starts, and while they work.
import type { GuideRow } from '@valise/core/guides'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'

interface HowReadProps {
  readonly guide: Pick<GuideRow, 'setBy' | 'className' | 'classCode' | 'reading' | 'dueAt' | 'isEnded'>
}

export function HowRead({ guide }: HowReadProps) {
  const { t } = useTranslation('guides')
  const when = useWhen()
  const { setBy, className, classCode, reading, dueAt, isEnded } = guide
  const due = dueAt === null ? '' : when.dayTime(dueAt)
  return (
    <>
      {t('head.setBy', { name: setBy, class: className, code: classCode })}{' '}
      {isEnded ? (
        <b>{t('head.ended')}</b>
      ) : (
        <b>
          {reading === 'sealed'
            ? t('head.sealed', { time: due })
            : t(dueAt === null ? 'head.followed' : 'head.followedDue', { time: due })}
        </b>
      )}
    </>
  )
}
