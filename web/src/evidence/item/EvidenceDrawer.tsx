// One item, opened under its row: what it is, what is said of it, who may use it, and its versions.
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { isShownAsPicture, readerOf } from '@valise/core/evidence'
import { textIn } from '@valise/core/people'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import Link from '@mui/material/Link'
import { Link as RouterLink } from 'react-router'
import { useSeers } from '../../access/index.ts'
import { Fetched } from '../../ui/Fetched.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSize } from '../../ui/useSize.ts'
import { useWhen } from '../../ui/useWhen.ts'
import {
  fileAddress,
  toPlayTime,
  evidenceQueries,
  useChangeEvidence,
  useEvidenceWords,
} from '../base/index.ts'
import { StatementField } from '../../statements/index.ts'
import { Preview } from '../preview/index.ts'
import { SpeakOver, useSpeaking } from '../voices/index.ts'
import { CaptionField } from './CaptionField.tsx'
import { CollagePictures } from './CollagePictures.tsx'
import { DriveField } from './DriveField.tsx'
import { EvidenceUses } from './EvidenceUses.tsx'
import { DrawerVerbs } from './DrawerVerbs.tsx'
import { MadeField } from './MadeField.tsx'
import { MadeForField } from './MadeForField.tsx'
import { RightsField } from './RightsField.tsx'
import { TagsField } from './TagsField.tsx'
import { TitleField } from './TitleField.tsx'
import { Versions } from './Versions.tsx'
import { WordsForOthers } from './WordsForOthers.tsx'
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

/** The film that the drawer shows. */
function filmOf({ id, version }: Evidence): HTMLVideoElement | null {
  return document.querySelector<HTMLVideoElement>(`video[src="${fileAddress(id, version.n)}"]`)
}

interface OpenedProps extends Pick<EvidenceDrawerProps, 'onClose' | 'onBinned'> {
  readonly item: Evidence
}

function Opened({ item, onClose, onBinned }: OpenedProps) {
  const { t, i18n } = useTranslation('evidence')
  const change = useChangeEvidence(item.id)
  const seers = useSeers(item.id)
  const isBinned = item.binnedAt !== null
  const speaking = useSpeaking()
  return (
    <div className={styles.opened} data-wide={isWide(item)}>
      <Preview item={item} />
      <div className={styles.middle}>
        <TitleField
          key={item.id}
          title={item.title}
          readOnly={isBinned}
          onSave={(title) => change.mutate({ title })}
        />
        <Facts item={item} />
        <StatementField item={item} readOnly={isBinned} />
        <WordsForOthers item={item} readOnly={isBinned} onSave={(words) => change.mutate(words)} />
        <CaptionField
          caption={item.caption}
          isPicture={isShownAsPicture(item.kind)}
          readOnly={isBinned}
          onSave={(caption) => change.mutate({ caption })}
        />
        <TagsField
          tags={item.tags}
          readOnly={isBinned}
          suggested={item.assignment ? [textIn(item.assignment.title, i18n.language)] : []}
          onSave={(tags) => change.mutateAsync({ tags })}
        />
        <Refusal error={change.error} />
        {isBinned || item.kind === 'audio' ? null : (
          <SpeakOver item={item} speaking={speaking} canPoint={false} film={() => filmOf(item)} />
        )}
        <DrawerVerbs item={item} onClose={onClose} onBinned={onBinned} />
      </div>
      <dl className={styles.known}>
        <dt>{t('drawer.usedIn')}</dt>
        <dd>
          <EvidenceUses id={item.id} />
        </dd>
        <dt>{t('drawer.seenBy')}</dt>
        <dd>{seers.words}</dd>
        <dt>{t('drawer.rights')}</dt>
        <dd>
          <RightsField
            rights={item.rights}
            title={item.title}
            readOnly={isBinned}
            isSaving={change.isPending}
            onSave={(rights) => change.mutateAsync({ rights })}
          />
        </dd>
        <dt>{t('drawer.made')}</dt>
        <dd>
          <MadeField item={item} readOnly={isBinned} onSave={(madeOn) => change.mutate({ madeOn })} />
        </dd>
        <dt>{t('drawer.madeFor')}</dt>
        <dd>
          <MadeForField item={item} readOnly={isBinned} onSave={(made) => change.mutate(made)} />
        </dd>
        {item.parts.length === 0 ? null : (
          <>
            <dt>{t('drawer.parts')}</dt>
            <dd>
              <CollagePictures parts={item.parts} />
            </dd>
          </>
        )}
        {item.version.place === null ? null : (
          <>
            <dt>{t('drawer.where')}</dt>
            <dd>
              {item.version.place.latitude.toFixed(4)}, {item.version.place.longitude.toFixed(4)}
              <br />
              <small>{t('drawer.placeAlone')}</small>
            </dd>
          </>
        )}
        {item.alike === 0 ? null : (
          <>
            <dt>{t('drawer.alike')}</dt>
            <dd>
              <Link component={RouterLink} to={`/evidence?like=${item.id}`}>
                {t('alike.others', { count: item.alike })}
              </Link>
            </dd>
          </>
        )}
        {item.drive === null ? null : (
          <>
            <dt>{t('drawer.drive')}</dt>
            <dd>
              <DriveField id={item.id} drive={item.drive} />
            </dd>
          </>
        )}
        <dt>{t('drawer.file')}</dt>
        <dd>
          <Versions item={item} />
        </dd>
      </dl>
    </div>
  )
}

/** What is read or worked with needs more room than what is looked at. */
function isWide({ kind, version }: Evidence): boolean {
  return ['data-table', 'note', 'link'].includes(kind) || readerOf(version.mime) !== null
}

function Facts({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const words = useEvidenceWords()
  const size = useSize()
  const { width, height, bytes, pages, durationMs, encoding } = item.version
  const at = item.madeAtKnown
    ? when.dayTime(item.madeAt)
    : t('drawer.cameIn', { time: when.dayTime(item.createdAt) })
  const isPicture = isShownAsPicture(item.kind) && width && height
  const facts = [
    words.kind(item),
    at,
    ...(isPicture ? [t('drawer.pixels', { width, height })] : item.kind === 'link' ? [] : [size(bytes)]),
    ...(pages === null ? [] : [t('drawer.pages', { count: pages })]),
    ...(durationMs === null ? [] : [toPlayTime(durationMs)]),
    ...(encoding === null ? [] : [t('drawer.encoding', { encoding })]),
  ]
  return <p className={styles.facts}>{facts.join('. ')}.</p>
}
