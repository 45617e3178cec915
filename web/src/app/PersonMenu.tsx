// Who one is, and the menu behind it: settings and the way out.
import { IconChevronDown } from '@tabler/icons-react'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { signOut, useSession } from '../session/index.ts'
import { Avatar } from '../ui/Avatar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useDisclosure } from '../ui/useDisclosure.ts'
import { roleWords } from './roleWords.ts'
import styles from './PersonMenu.module.css'

export function PersonMenu() {
  const { t } = useTranslation()
  const session = useSession()
  const { ref, isOpen, toggle, close } = useDisclosure<HTMLDivElement>()
  const [isLeaving, setIsLeaving] = useState(false)
  const [refusal, setRefusal] = useState<unknown>(null)
  const id = useId()
  const isStudent = session.memberships.some(({ role }) => role === 'student')
  return (
    <div className={styles.who} ref={ref}>
      <button
        type="button"
        className={styles.button}
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={toggle}
      >
        <Avatar name={session.fullName} kind={isStudent ? 'student' : 'staff'} size="large" />
        <span className={styles.words}>
          <b>{session.fullName}</b>
          <small>{roleWords(t, session)}</small>
        </span>
        <span className="only-heard">, {t('person.menu')}</span>
        <IconChevronDown size={15} stroke={1.7} aria-hidden="true" />
      </button>
      <div id={id} className={styles.menu} hidden={!isOpen}>
        <p className={styles.mobileName}>
          <b>{session.fullName}</b>
          <small>{roleWords(t, session)}</small>
        </p>
        <Link to="/settings" onClick={close}>
          {t('person.settings')}
        </Link>
        <button
          type="button"
          disabled={isLeaving}
          onClick={() => {
            setIsLeaving(true)
            setRefusal(null)
            void signOut().catch((error: unknown) => {
              setIsLeaving(false)
              setRefusal(error)
            })
          }}
        >
          {t('person.signOut')}
        </button>
        <Refusal error={refusal} />
      </div>
    </div>
  )
}
