// My classes; for an administrator all of the school, to add to and to change.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { Class } from '@valise/core/classes'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useSession } from '../session/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { ClassDialog } from './ClassDialog.tsx'
import { classQueries } from './queries.ts'
import styles from './ClassesScreen.module.css'

export function ClassesScreen() {
  const { t } = useTranslation(['classes', 'app'])
  const { administrator } = useSession()
  const classes = useQuery(classQueries.mine())
  const [edited, setEdited] = useState<Class | 'new' | null>(null)
  const count = classes.data?.length ?? 0
  const sentence = administrator ? t('mine.allTitle', { count }) : t('mine.title', { count })
  return (
    <Screen
      place={t('app:places.classes')}
      sentence={
        classes.data === undefined ? t('app:places.classes') : count === 0 ? t('mine.emptyTitle') : sentence
      }
      act={
        administrator ? (
          <Button variant="contained" color="primary" onClick={() => setEdited('new')}>
            {t('mine.add')}
          </Button>
        ) : null
      }
    >
      <Fetched query={classes}>
        {(list) =>
          list.length === 0 ? (
            <Empty>{administrator ? t('mine.emptySchool') : t('mine.empty')}</Empty>
          ) : (
            <ul className={styles.list}>
              {list.map((one) => (
                <ClassRow key={one.id} one={one} onChange={administrator ? () => setEdited(one) : null} />
              ))}
            </ul>
          )
        }
      </Fetched>
      {edited === null ? null : (
        <ClassDialog changed={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />
      )}
    </Screen>
  )
}

function ClassRow({ one, onChange }: { readonly one: Class; readonly onChange: (() => void) | null }) {
  const { t } = useTranslation('classes')
  const when = useWhen()
  const people = {
    assessors: t('mine.assessors', { count: one.assessors }),
    students: t('mine.students', { count: one.students }),
  }
  return (
    <li>
      <Link component={RouterLink} to={`/classes/${one.id}`}>
        {one.name}
      </Link>
      <span className={styles.code}>{one.code}</span>
      <span>
        {one.endedAt === null
          ? t('mine.people', people)
          : t('mine.endedMark', { day: when.day(one.endedAt) })}
      </span>
      {onChange ? (
        <Button onClick={onChange} aria-label={`${t('mine.change')}: ${one.name}`}>
          {t('mine.change')}
        </Button>
      ) : null}
    </li>
  )
}
