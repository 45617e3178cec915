// The table of a guide: a row for each student, a cell for each stage.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import type { GuideProgress, GuideStudentRow } from '@valise/core/guides'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useServerNow } from '../ui/useServerNow.ts'
import { useWhen } from '../ui/useWhen.ts'
import { useOpenStage } from './queries.ts'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

export function FollowTable({ progress }: { readonly progress: GuideProgress }) {
  const { t } = useTranslation('guides')
  const openStage = useOpenStage(progress.guideId)
  const now = useServerNow(progress.at)
  return (
    <>
      <Refusal error={openStage.error} />
      <div className={styles.tableBox} tabIndex={0} role="region" aria-label={t('follow.table')}>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{t('follow.student')}</th>
              {progress.stages.map((stage) => (
                <StageHead
                  key={stage.id}
                  stage={stage}
                  now={now}
                  isChanging={openStage.isPending}
                  onOpen={(isOpen) =>
                    openStage.mutate({ classId: progress.classId, stageId: stage.id, isOpen })
                  }
                />
              ))}
              <th scope="col">{t('follow.state')}</th>
            </tr>
          </thead>
          <tbody>
            {progress.students.map((student) => (
              <StudentLine key={student.personId} progress={progress} student={student} />
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}

interface StageHeadProps {
  readonly stage: GuideProgress['stages'][number]
  readonly now: Instant
  readonly isChanging: boolean
  readonly onOpen: (isOpen: boolean) => void
}

function StageHead({ stage, now, isChanging, onOpen }: StageHeadProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const { name, how, opensAt, closesAt, openedAt } = stage
  const isToCome = how === 'at' ? opensAt !== null && opensAt > now : how === 'hand' && openedAt === null
  const phase = closesAt !== null && closesAt <= now ? 'closed' : isToCome ? 'to-come' : 'open'
  const title = words.text(name) || t('stage.untitled')
  return (
    <th scope="col">
      <b>{title}</b>
      <small>{words.times({ how, opensAt, closesAt, phase })}</small>
      {how === 'hand' ? (
        <Button
          size="small"
          disabled={isChanging}
          aria-label={t(openedAt === null ? 'follow.openOf' : 'follow.closeOf', { title })}
          onClick={() => onOpen(openedAt === null)}
        >
          {t(openedAt === null ? 'follow.open' : 'follow.close')}
        </Button>
      ) : null}
    </th>
  )
}

interface StudentLineProps {
  readonly progress: GuideProgress
  readonly student: GuideStudentRow
}

function StudentLine({ progress, student }: StudentLineProps) {
  const { t } = useTranslation('guides')
  const { name, cells, isQuiet } = student
  return (
    <tr data-quiet={isQuiet}>
      <th scope="row">{name}</th>
      {progress.stages.map((stage, n) => {
        const cell = cells[n]
        return cell ? (
          <Cell key={stage.id} progress={progress} student={student} stage={stage} cell={cell} />
        ) : null
      })}
      <td>
        <State student={student} />
        {student.feedback > 0 ? <small>{t('follow.feedback', { count: student.feedback })}</small> : null}
      </td>
    </tr>
  )
}

interface CellProps extends StudentLineProps {
  readonly stage: GuideProgress['stages'][number]
  readonly cell: GuideStudentRow['cells'][number]
}

/** By its line: solid done, half stitched in progress, stitched not begun; in words for those who do not see it. */
function Cell({ progress: { reading }, student, stage, cell }: CellProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const when = useWhen()
  const { copyId, submissionId, name } = student
  const state = [
    t(`progress.${cell.progress}`),
    ...(cell.changedAt === null ? [] : [when.dayTime(cell.changedAt)]),
    ...(cell.changedAfterClose ? [t('reading.afterClose')] : []),
  ].join(', ')
  const label = t('follow.cell', { name, stage: words.text(stage.name), state })
  const to =
    reading === 'followed'
      ? copyId && `/guide-copies/${copyId}/reading#stage-${stage.id}`
      : submissionId && `/submissions/${submissionId}`
  const line = <i className={styles.line} data-progress={cell.progress} aria-hidden="true" />
  const late = cell.changedAfterClose ? <small>{t('reading.afterClose')}</small> : null
  return (
    <td>
      {to ? (
        <Link component={RouterLink} to={to} aria-label={label} title={state} className={styles.cell}>
          {line}
          {late}
        </Link>
      ) : (
        <span className={styles.cell} role="img" aria-label={label} title={state}>
          {line}
        </span>
      )}
    </td>
  )
}

/** What became of the whole: handed in, by itself, failed; or that nothing happened for a week. */
function State({ student: { handIn, isQuiet, changedAt, copyId } }: Pick<StudentLineProps, 'student'>) {
  const { t } = useTranslation('guides')
  const when = useWhen()
  if (handIn !== null) return <b data-state={handIn}>{t(`follow.handIn.${handIn}`)}</b>
  if (copyId === null) return <span>{t('follow.notStarted')}</span>
  if (isQuiet) return <b data-state="quiet">{t('follow.nothingForAWeek')}</b>
  return <span>{changedAt === null ? '' : t('follow.changed', { time: when.dayTime(changedAt) })}</span>
}
