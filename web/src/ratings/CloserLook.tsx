// One self-rating closely: the step and why, the evidence beside it, and the way to where it was written.
import Button from '@mui/material/Button'
import { useQueries } from '@tanstack/react-query'
import { IconArrowRight } from '@tabler/icons-react'
import { textIn } from '@valise/core/people'
import type { Rating } from '@valise/core/ratings'
import { screenOf } from '@valise/core/things'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { evidenceQueries, Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import { useThingWords } from '../things/index.ts'
import { useWhen } from '../ui/useWhen.ts'
import { useStepWords } from './useStepWords.ts'
import styles from './Ratings.module.css'

interface CloserLookProps {
  readonly rating: Rating
  /** Whether somebody asked for it, and is to see it wherever they are. */
  readonly isWanted: boolean
}

export function CloserLook({ rating, isWanted }: CloserLookProps) {
  const { t, i18n } = useTranslation('ratings')
  const when = useWhen()
  const toStep = useStepWords()
  const words = useThingWords()
  const { name, day, step, reason, thingId, thingKind, thingTitle } = rating
  const title = words.title({ kind: thingKind, title: thingTitle })
  const section = useRef<HTMLElement>(null)
  useEffect(() => {
    if (isWanted) section.current?.scrollIntoView({ block: 'nearest' })
  }, [isWanted, rating.id])
  return (
    <section ref={section} className={styles.closer} aria-live="polite">
      <p className={styles.day}>{when.localDay(day)}</p>
      <h2>{textIn(name, i18n.language)}</h2>
      <p className={styles.step}>{toStep(step)}</p>
      {reason ? <blockquote>{reason}</blockquote> : <p>{t('noReason')}</p>}
      <Evidence ids={rating.evidenceIds} />
      <Button
        component={Link}
        to={screenOf(thingKind, thingId)}
        variant="outlined"
        endIcon={<IconArrowRight size={17} stroke={1.7} />}
      >
        {t('where', { title })}
      </Button>
    </section>
  )
}

function Evidence({ ids }: { readonly ids: readonly string[] }) {
  const { t } = useTranslation('ratings')
  const words = useEvidenceWords()
  const items = useQueries({ queries: ids.map((id) => evidenceQueries.one(id)) })
  const there = items.flatMap(({ data }) => data ?? [])
  if (there.length === 0) return null
  return (
    <ul className={styles.evidence} aria-label={t('evidence')}>
      {there.map((item) => (
        <li key={item.id}>
          <Link to={screenOf('evidence', item.id)}>
            <span>
              <Thumbnail item={item} />
            </span>
            {words.title(item)}
          </Link>
        </li>
      ))}
    </ul>
  )
}
