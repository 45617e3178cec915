// One person, for administrators: names, classes with their days, and how they come in.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { Person, PersonDetail, PersonInput } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useLocation, useParams } from 'react-router'
import { ApiProblem } from '../api/index.ts'
import { MissingScreen } from '../ui/MissingScreen.tsx'
import { Done } from '../ui/Done.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { ComingIn } from './ComingIn.tsx'
import { Memberships } from './Memberships.tsx'
import { PersonForm } from './PersonForm.tsx'
import { peopleQueries, useUpdatePerson } from './queries.ts'
import styles from './PersonScreen.module.css'

export function PersonScreen() {
  const { t } = useTranslation(['people', 'app'])
  const { id = '' } = useParams()
  const { state } = useLocation()
  const detail = useQuery(peopleQueries.one(id))
  if (detail.error instanceof ApiProblem && detail.error.code === 'not-found') return <MissingScreen />
  const person = detail.data?.person
  return (
    <Screen
      place={t('app:places.people')}
      title={person?.fullName}
      {...(person && { parent: person.fullName })}
      sentence={person?.fullName ?? t('app:places.people')}
      lead={
        <Link component={RouterLink} to="/people">
          {t('detail.back')}
        </Link>
      }
      panel={person ? <ComingIn person={person} /> : null}
      panelLabel={t('detail.comingIn')}
    >
      <Fetched query={detail}>
        {(found) => (
          <>
            <Done>{state?.added ? t('form.added', { name: found.person.firstName }) : null}</Done>
            <About detail={found} />
          </>
        )}
      </Fetched>
    </Screen>
  )
}

function About({ detail }: { readonly detail: PersonDetail }) {
  const { t } = useTranslation('people')
  const { person, memberships } = detail
  const update = useUpdatePerson(person.id)
  return (
    <>
      <h2 className={styles.heading}>{t('detail.memberships')}</h2>
      <Memberships person={person} memberships={memberships} />
      <h2 className={styles.heading}>{t('detail.about')}</h2>
      <PersonForm
        person={toPersonInput(person)}
        submit={t('form.keep')}
        error={update.error}
        isPending={update.isPending}
        onSave={(input) => update.mutate({ revision: person.revision, input })}
      />
    </>
  )
}

function toPersonInput(person: Person): PersonInput {
  const { fullName, firstName, chosenName, signInName, email, language, administrator, yearGroupId } = person
  return { fullName, firstName, chosenName, signInName, email, language, administrator, yearGroupId }
}
