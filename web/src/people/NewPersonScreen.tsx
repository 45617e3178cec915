// Adds a person, for administrators.
import Link from '@mui/material/Link'
import type { PersonInput } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Screen } from '../ui/Screen.tsx'
import { useSession } from '../session/index.ts'
import { PersonForm } from './PersonForm.tsx'
import { useCreatePerson } from './queries.ts'

export function NewPersonScreen() {
  const { t } = useTranslation(['people', 'app'])
  const navigate = useNavigate()
  const { language } = useSession()
  const create = useCreatePerson()
  const [key, setKey] = useState(() => crypto.randomUUID())
  const [empty] = useState<PersonInput>({
    fullName: '',
    firstName: '',
    chosenName: null,
    signInName: '',
    email: null,
    language,
    administrator: false,
    yearGroupId: null,
  })

  function add(input: PersonInput) {
    create.mutate(
      { key, input },
      {
        onSuccess: ({ person }) => void navigate(`/people/${person.id}`, { state: { added: true } }),
        // A mended form is another request, so it gets another key.
        onError: () => setKey(crypto.randomUUID()),
      },
    )
  }

  return (
    <Screen
      place={t('app:places.people')}
      sentence={t('form.addTitle')}
      lead={
        <Link component={RouterLink} to="/people">
          {t('detail.back')}
        </Link>
      }
    >
      <PersonForm
        person={empty}
        submit={t('form.add')}
        error={create.error}
        isPending={create.isPending}
        onSave={add}
      />
    </Screen>
  )
}
