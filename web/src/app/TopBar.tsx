// The top bar: the place, the save status, the news, and the person.
import { IconMenu2 } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { NewsButton } from '../news/index.ts'
import { Mark } from '../ui/Mark.tsx'
import { usePlace } from '../ui/place.ts'
import { ComingIn } from './ComingIn.tsx'
import { SaveStatusMark } from './SaveStatusMark.tsx'
import { PersonMenu } from './PersonMenu.tsx'
import styles from './TopBar.module.css'

export function TopBar({ onPlaces }: { readonly onPlaces: () => void }) {
  const { t } = useTranslation()
  const place = usePlace()
  return (
    <header className={styles.top}>
      <span className={styles.mark}>
        <Mark />
      </span>
      <button type="button" className={styles.places} onClick={onPlaces}>
        <IconMenu2 size={20} stroke={1.7} aria-hidden="true" />
        {t('places.open')}
      </button>
      <p className={styles.place}>
        <b>{place.name}</b>
        {place.parent ? <span>{place.parent}</span> : null}
      </p>
      <span className={styles.space} />
      <ComingIn />
      <SaveStatusMark />
      <NewsButton />
      <PersonMenu />
    </header>
  )
}
