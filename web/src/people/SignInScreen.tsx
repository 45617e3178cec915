// The door: sign in with name and password; in the sample world also with one click per person.
import Link from '@mui/material/Link'
import { useSuspenseQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { sessionQueries } from '../session/index.ts'
import { DemoPeople } from './DemoPeople.tsx'
import { DoorFrame } from './DoorFrame.tsx'
import { ForgottenForm } from './ForgottenForm.tsx'
import { demoQueries } from './demoQueries.ts'
import { SignInForm } from './SignInForm.tsx'

export function SignInScreen() {
  const { t } = useTranslation('people')
  const { data: school } = useSuspenseQuery(sessionQueries.school())
  const { data: demo } = useSuspenseQuery(demoQueries.people())
  const [hasForgotten, setHasForgotten] = useState(false)
  const aside = demo && { aside: <DemoPeople demo={demo} /> }
  if (hasForgotten) {
    return (
      <DoorFrame title={t('forgotten.title')} lead={t('forgotten.lead')} {...aside}>
        <ForgottenForm onBack={() => setHasForgotten(false)} />
      </DoorFrame>
    )
  }
  return (
    <DoorFrame title={t('signIn.title')} lead={t('signIn.lead', { school: school.name })} {...aside}>
      <SignInForm submit={t('signIn.submit')} />
      <p>
        <Link component="button" onClick={() => setHasForgotten(true)}>
          {t('signIn.forgot')}
        </Link>
      </p>
    </DoorFrame>
  )
}
