// The rail: a route with its stops; the place one is in wears a luggage tag.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link, useMatch } from 'react-router'
import { useSession } from '../session/index.ts'
import { usePlace } from '../ui/place.ts'
import { countQuery, isCounted } from './queries.ts'
import type { CountedPlace } from './queries.ts'
import { footPlacesOf, placesOf } from './places.ts'
import type { PlaceLink } from './places.ts'
import styles from './Rail.module.css'

export function Rail({ onGo }: { readonly onGo?: () => void }) {
  const { t } = useTranslation()
  const session = useSession()
  return (
    <nav className={styles.rail} aria-label={t('places.label')} {...(onGo && { onClick: onGo })}>
      {placesOf(session).map((stop) =>
        stop.name === null ? (
          <ul key="top" className={styles.list}>
            {stop.places.map((place) => (
              <PlaceItem key={place.name} place={place} />
            ))}
          </ul>
        ) : (
          <div key={stop.name} className={styles.stop}>
            <h2 className={styles.stopName}>{t(`stops.${stop.name}`)}</h2>
            <ul className={styles.list}>
              {stop.places.map((place) => (
                <PlaceItem key={place.name} place={place} />
              ))}
            </ul>
          </div>
        ),
      )}
      <ul className={styles.foot}>
        {footPlacesOf(session).map((place) => (
          <PlaceItem key={place.name} place={place} />
        ))}
      </ul>
    </nav>
  )
}

function PlaceItem({ place }: { readonly place: PlaceLink }) {
  const { t } = useTranslation()
  const { within } = usePlace()
  const isBelow = useMatch({ path: place.to, end: place.to === '/' }) !== null
  const isHere = within === undefined ? isBelow : within === place.name
  const PlaceIcon = place.icon
  return (
    <li className={styles.item}>
      <Link to={place.to} className={styles.place} aria-current={isHere ? 'page' : undefined}>
        <PlaceIcon size={18} stroke={1.7} aria-hidden="true" />
        <span className={styles.name}>{t(`places.${place.name}`)}</span>
        {isCounted(place.name) ? <Count place={place.name} /> : null}
      </Link>
    </li>
  )
}

function Count({ place }: { readonly place: CountedPlace }) {
  const { t } = useTranslation()
  const { data } = useQuery(countQuery(place))
  if (data === undefined) return null
  return (
    <span className={styles.count}>
      <span className="only-heard">, </span>
      {data}
      <span className="only-heard"> {t('places.things', { count: data })}</span>
    </span>
  )
}
