// The assignments of the classes that I assess: how far each is, and a way to set another.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import type { AssignmentRow } from '@valise/core/assignments'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { assignmentQueries } from './queries.ts'
import styles from './Assignments.module.css'

export function AssignmentsScreen() {
  const { t } = useTranslation(['assignments', 'app'])
  const list = useInfiniteQuery(assignmentQueries.list())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  return (
    <Screen
      place={t('app:places.assignments')}
      parent={t('app:stops.set')}
      sentence={list.data ? t('list.sentence', { count }) : t('app:places.assignments')}
      act={
        <Button
          component={RouterLink}
          to="/assignments/new"
          variant="contained"
          color="primary"
          startIcon={<IconPlus size={18} stroke={1.7} />}
        >
          {t('list.new')}
        </Button>
      }
    >
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('list.empty')}</Empty>
          ) : (
            <>
              <ul className={styles.list}>
                {items.map((row) => (
                  <Row key={row.id} row={row} />
                ))}
              </ul>
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
    </Screen>
  )
}

function Row({ row }: { readonly row: AssignmentRow }) {
  const { t, i18n } = useTranslation('assignments')
  const when = useWhen()
  const due = row.dueAt === null ? t('list.neverDue') : t('list.due', { time: when.dayTime(row.dueAt) })
  return (
    <li>
      <div>
        <Link component={RouterLink} to={`/assignments/${row.id}`} className={styles.name ?? ''}>
          {textIn(row.title, i18n.language)}
        </Link>
        <small>{`${row.className}, ${row.classCode}`}</small>
      </div>
      <span>{row.endedAt === null ? due : t('list.ended', { time: when.date(row.endedAt) })}</span>
      <span>
        {row.toRead > 0 ? (
          <Link component={RouterLink} to={`/review-desk/${row.id}`}>
            {t('list.toRead', { count: row.toRead })}
          </Link>
        ) : (
          t('list.nothingToRead')
        )}
      </span>
      <span>{t('list.accepted', { count: row.accepted, students: row.students })}</span>
    </li>
  )
}
