// What stands in the way of a thing, one sentence each, with the verb that changes it.
import Link from '@mui/material/Link'
import type { Sharing, ThingAnswer } from '@valise/core/access'
import type { Collection } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useWhen } from '../ui/useWhen.ts'
import { lastMoment } from './lastMoment.ts'
import type { LookAsPanelProps } from './LookAsPanel.tsx'
import { useAccessWords } from './useAccessWords.ts'
import styles from './LookAsPanel.module.css'

type Obstacle = Extract<ThingAnswer, { allowed: false }>['obstacles'][number]

interface ObstaclesProps extends LookAsPanelProps {
  readonly thing: Pick<Collection['things'][number], 'id' | 'kind' | 'title'>
  readonly obstacles: readonly Obstacle[]
  /** Only what is most in the way. */
  readonly isShort?: boolean
}

/** What concerns the thing itself comes first, then what is nearest to a way in. */
const order: readonly Obstacle['kind'][] = [
  ...(['in-bin', 'not-published', 'hidden', 'container-in-bin', 'rules', 'to-come'] as const),
  ...(['not-in-class', 'right', 'ended', 'no-pass'] as const),
]

export function Obstacles({ thing, obstacles, isShort, sharing, name, onGive }: ObstaclesProps) {
  const { t } = useTranslation('access')
  const sorted = [...obstacles].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind))
  return (
    <ul className={styles.obstacles}>
      {(isShort ? sorted.slice(0, 1) : sorted).map((obstacle) => (
        <li key={JSON.stringify(obstacle)}>
          <Sentence obstacle={obstacle} sharing={sharing} name={name} />{' '}
          {obstacle.kind === 'not-published' ? (
            <Link component={RouterLink} to={`/pages/${thing.id}`}>
              {t('not.publish')}
            </Link>
          ) : null}
          {obstacle.kind === 'hidden' ? (
            <Link component={RouterLink} to={`/collections/${obstacle.containerId}`}>
              {t('not.show')}
            </Link>
          ) : null}
          {obstacle.kind === 'no-pass' || obstacle.kind === 'ended' ? (
            <Link component="button" type="button" onClick={() => onGive(thing.id)}>
              {t(obstacle.kind === 'ended' ? 'not.another' : 'not.give')}
            </Link>
          ) : null}
        </li>
      ))}
    </ul>
  )
}

interface SentenceProps {
  readonly obstacle: Obstacle
  readonly sharing: Sharing
  readonly name: string
}

function Sentence({ obstacle, sharing, name }: SentenceProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const when = useWhen()
  const pass = 'passId' in obstacle ? sharing.passes.find(({ id }) => id === obstacle.passId) : undefined
  const audience = pass ? words.audience(pass) : ''
  const titleOf = (id: string) => {
    const found = sharing.things.find((thing) => thing.id === id)
    return found ? words.title(found) : t('opened.untitled')
  }
  switch (obstacle.kind) {
    case 'hidden':
    case 'container-in-bin':
      return t(`not.${obstacle.kind}`, { collection: titleOf(obstacle.containerId) })
    case 'to-come':
      return t('not.to-come', { audience, date: when.date(obstacle.from) })
    case 'ended':
      return t('not.ended', { audience, date: when.date(lastMoment(obstacle.until)) })
    case 'rules':
    case 'right':
      return t(`not.${obstacle.kind}`, { audience })
    case 'not-in-class':
      return t('not.not-in-class', { name, class: pass?.audience.name ?? '' })
    case 'no-pass':
    case 'not-published':
    case 'in-bin':
      return t(`not.${obstacle.kind}`)
  }
}
