// The people of the sample world, each one click from being signed in.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Avatar } from '../ui/Avatar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useDemoSignIn } from './demoQueries.ts'
import type { Demo } from './demoQueries.ts'
import styles from './DemoPeople.module.css'

export function DemoPeople({ demo }: { readonly demo: Demo }) {
  const { t } = useTranslation('people')
  const signIn = useDemoSignIn()
  const [isWhole, setIsWhole] = useState(false)
  const shown = demo.people.filter((person) => isWhole || person.first)
  const more = demo.people.length - shown.length
  return (
    <section className={styles.people} aria-labelledby="demo-people">
      <h2 id="demo-people">{t('demo.title')}</h2>
      <p className={styles.lead}>{t('demo.lead')}</p>
      <Refusal error={signIn.error} />
      <ul>
        {shown.map((person) => (
          <li key={person.id}>
            <button type="button" disabled={signIn.isPending} onClick={() => signIn.mutate(person.id)}>
              <Avatar name={person.fullName} kind={person.kind} size="large" />
              <span>
                <b>{person.fullName}</b>
                <small>{person.about}</small>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {more > 0 ? (
        <Button variant="text" onClick={() => setIsWhole(true)}>
          {t('demo.all', { count: more })}
        </Button>
      ) : null}
      {demo.visitor === null ? null : (
        <p className={styles.lead}>
          <Link href={demo.visitor.address}>{t('demo.visitor', { name: demo.visitor.name })}</Link>
        </p>
      )}
      {demo.mailRoom === null ? null : (
        <p className={styles.lead}>
          <Link href={demo.mailRoom}>{t('demo.mailRoom')}</Link>
        </p>
      )}
    </section>
  )
}
