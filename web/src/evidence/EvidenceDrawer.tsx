// One item, opened under its row: what it is, what is said of it, who may use it, and its versions.
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useSeers } from '../access/useSeers.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useSize } from '../ui/useSize.ts'
import { useWhen } from '../ui/useWhen.ts'
import { EvidenceUses } from './EvidenceUses.tsx'
import { DrawerVerbs } from './DrawerVerbs.tsx'
import { Preview } from './Preview.tsx'
import { evidenceQueries, useChangeEvidence } from './queries.ts'
import { RightsField } from './RightsField.tsx'
import { StatementField } from './StatementField.tsx'
import { TagsField } from './TagsField.tsx'
import { TitleField } from './TitleField.tsx'
import { useEvidenceWords } from './useEvidenceWords.ts'
import { Versions } from './Versions.tsx'
import styles from './EvidenceDrawer.module.css'

interface EvidenceDrawerProps {
  readonly id: string
  /** Where its pointer stands, in pixels from the left; null where the item has no place in the grid. */
  readonly pointerAt: number | null
  readonly onClose: () => void
  readonly onBinned: (item: Evidence) => void
}

export function EvidenceDrawer({ id, pointerAt, onClose, onBinned }: EvidenceDrawerProps) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const query = useQuery(evidenceQueries.one(id))
  const drawer = useRef<HTMLElement>(null)
  const isThere = query.data !== undefined

  // Whoever opens an item goes on in it.
  useEffect(() => {
    if (!isThere) return
    drawer.current?.focus({ preventScroll: true })
    drawer.current?.scrollIntoView({ block: 'nearest' })
  }, [id, isThere])

  return (
    <section
      ref={drawer}
      className={styles.drawer}
      tabIndex={-1}
      aria-label={query.data ? words.title(query.data) : t('drawer.opening')}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && !event.defaultPrevented) onClose()
      }}
    >
      {pointerAt === null ? null : (
        <svg className={styles.pointer} style={{ left: pointerAt }} viewBox="0 0 20 10" aria-hidden="true">
          <path d="M0 10 10 1l10 9" />
        </svg>
      )}
      <Fetched query={query}>
        {(item) => <Opened key={item.id} item={item} onClose={onClose} onBinned={onBinned} />}
      </Fetched>
    </section>
  )
}

interface OpenedProps extends Pick<EvidenceDrawerProps, 'onClose' | 'onBinned'> {
  readonly item: Evidence
}

function Opened({ item, onClose, onBinned }: OpenedProps) {
  const { t } = useTranslation('evidence')
  const change = useChangeEvidence(item.id)
  const seers = useSeers('evidence', item.id)
  const isBinned = item.binnedAt !== null
  return (
    <div className={styles.opened}>
      <Preview item={item} />
      <div className={styles.middle}>
        <TitleField
          key={item.id}
          title={item.title}
          readOnly={isBinned}
          onKeep={(title) => change.mutate({ title })}
        />
        <Facts item={item} />
        <StatementField
          statement={item.statement}
          readOnly={isBinned}
          onKeep={(statement) => change.mutate({ statement })}
        />
        <TagsField tags={item.tags} readOnly={isBinned} onKeep={(tags) => change.mutateAsync({ tags })} />
        <Refusal error={change.error} />
        <DrawerVerbs item={item} onClose={onClose} onBinned={onBinned} />
      </div>
      <dl className={styles.known}>
        <dt>{t('drawer.seenBy')}</dt>
        <dd>{seers.words}</dd>
        {item.className === null ? null : (
          <>
            <dt>{t('drawer.madeFor')}</dt>
            <dd>{item.className}</dd>
          </>
        )}
        <dt>{t('drawer.usedIn')}</dt>
        <dd>
          <EvidenceUses id={item.id} />
        </dd>
        <dt>{t('drawer.rights')}</dt>
        <dd>
          <RightsField
            rights={item.rights}
            title={item.title}
            readOnly={isBinned}
            isKeeping={change.isPending}
            onKeep={(rights) => change.mutateAsync({ rights })}
          />
        </dd>
        <dt>{t('drawer.file')}</dt>
        <dd>
          <Versions item={item} />
        </dd>
      </dl>
    </div>
  )
}

function Facts({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const words = useEvidenceWords()
  const size = useSize()
  const { width, height, bytes, hasPlace } = item.version
  const at = item.madeAtKnown
    ? when.dayTime(item.madeAt)
    : t('drawer.cameIn', { time: when.dayTime(item.createdAt) })
  const facts = [
    words.kind(item),
    at,
    width && height ? t('drawer.pixels', { width, height }) : size(bytes),
    ...(hasPlace ? [t('drawer.place')] : []),
  ]
  return <p className={styles.facts}>{facts.join('. ')}.</p>
}
