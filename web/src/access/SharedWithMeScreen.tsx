// What others opened to me, what was opened last on top.
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import type { ThingSharedWithMe } from '@valise/core/access'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { uiByKind } from '../things/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { lastMoment } from './lastMoment.ts'
import { accessQueries } from './queries.ts'
import styles from './SharedWithMeScreen.module.css'

export function SharedWithMeScreen() {
  const { t } = useTranslation(['access', 'app'])
  const list = useInfiniteQuery(accessQueries.opened())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  return (
    <Screen
      place={t('app:places.opened')}
      parent={t('app:stops.show')}
      sentence={list.data ? t('opened.sentence', { count }) : t('app:places.opened')}
    >
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('opened.empty')}</Empty>
          ) : (
            <>
              <ul className={styles.list}>
                {items.map((item) => (
                  <SharedRow key={item.thing.id} item={item} />
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

function SharedRow({ item }: { readonly item: ThingSharedWithMe }) {
  const { t } = useTranslation('access')
  const when = useWhen()
  const { thing, title, ownerName, pages, openedAt, until, audience, className } = item
  const { icon: ThingIcon } = uiByKind[thing.kind]
  const to = t(`opened.${audience}`, { class: className ?? '' })
  return (
    <li>
      <ThingIcon size={20} stroke={1.7} aria-hidden="true" />
      <div>
        <Link component={RouterLink} to={screenOf(thing.kind, thing.id)}>
          {title || t('opened.untitled')}
        </Link>
        <small>{pages === null ? t('opened.page') : t('opened.pages', { count: pages })}</small>
      </div>
      <p>{t('opened.by', { name: ownerName })}</p>
      <p className={styles.time}>
        {until === null
          ? t('opened.since', { to, from: when.date(openedAt) })
          : t('opened.until', { to, until: when.date(lastMoment(until)) })}
      </p>
    </li>
  )
}
