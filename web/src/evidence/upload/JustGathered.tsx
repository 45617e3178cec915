// What has just come in: one field says what it is, and what several share is said once for all.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQueries, useQuery } from '@tanstack/react-query'
import { cleanTags } from '@valise/core/evidence'
import type { Evidence, Rights } from '@valise/core/evidence'
import { textIn } from '@valise/core/people'
import { useState } from 'react'
import { MOST_ABOUT } from '@valise/core/reflections'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import {
  evidenceQueries,
  useChangeEvidence,
  useDeclareRights,
  useTagMany,
  PreviewProblem,
  TagInput,
  Thumbnail,
  useEvidenceWords,
  useTagSuggestions,
} from '../base/index.ts'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSavedText } from '../../ui/useSavedText.ts'
import { arrivals, clearArrivals } from './arrivals.ts'
import { WhatIsThis } from './WhatIsThis.tsx'
import styles from './JustGathered.module.css'

export function JustGathered({ openId }: { readonly openId: string | null }) {
  const { t } = useTranslation('evidence')
  const ids = arrivals.use()
  const items = useQueries({ queries: ids.map((id) => evidenceQueries.one(id)) }).flatMap(({ data }) =>
    data && data.binnedAt === null && data.id !== openId ? [data] : [],
  )
  if (items.length === 0) return null
  return (
    <section className={styles.gathered} aria-label={t('gathered.label')}>
      <header>
        <h2>{t('gathered.title', { count: items.length })}</h2>
        <Button size="small" variant="text" onClick={clearArrivals}>
          {t('gathered.done')}
        </Button>
      </header>
      <ul>
        {items.map((item, n) => (
          <GatheredItem key={item.id} item={item} isFirst={n === 0} />
        ))}
      </ul>
      <Shared items={items} />
    </section>
  )
}

function GatheredItem({ item, isFirst }: { readonly item: Evidence; readonly isFirst: boolean }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const change = useChangeEvidence(item.id)
  const saved = useSavedText(item.title, (title) => change.mutate({ title }))
  return (
    <li>
      <span className={styles.picture}>
        <Thumbnail item={item} />
      </span>
      <div>
        <WhatIsThis saved={saved} name={words.kind(item)} isFocused={isFirst && item.title === ''} />
        <PreviewProblem version={item.version} className={styles.quiet} />
        <Refusal error={change.error} />
      </div>
      <Link component={RouterLink} to={`/evidence/${item.id}`}>
        {t('uploads.show')}
        <span className="only-heard"> {words.title(item)}</span>
      </Link>
    </li>
  )
}

/** Tags and maker, for one as for many. */
function Shared({ items }: { readonly items: readonly Evidence[] }) {
  const { t, i18n } = useTranslation('evidence')
  const tagMany = useTagMany()
  const declare = useDeclareRights()
  const options = useTagSuggestions(useQuery(evidenceQueries.tags()).data, [
    ...new Set(
      items.flatMap(({ assignment }) => (assignment ? [textIn(assignment.title, i18n.language)] : [])),
    ),
  ])
  const [pending, setPending] = useState<readonly string[]>([])
  const ids = items.map(({ id }) => id)
  const common = (items[0]?.tags ?? []).filter((tag) => items.every(({ tags }) => tags.includes(tag)))
  const open = items.filter(({ rights }) => rights.state === 'missing').map(({ id }) => id)
  const tags = cleanTags([...common, ...pending])
  const put = (next: readonly string[]) => {
    const added = cleanTags(next).filter((tag) => !common.includes(tag))
    if (added.length === 0) return
    setPending(added)
    const settle = () => setPending([])
    tagMany.mutateAsync({ ids, add: added }).then(settle, settle)
  }
  const declareMine = () => {
    const rights: Rights = { state: 'mine' }
    declare.mutate({ ids: open, rights })
  }
  return (
    <div className={styles.shared}>
      <TagInput
        label={items.length === 1 ? t('tags.label') : t('gathered.tagsForAll', { count: items.length })}
        tags={tags}
        options={options}
        onChange={put}
      />
      {open.length === 0 ? (
        <p role="status">
          {t(items.every(({ rights }) => rights.state === 'mine') ? 'gathered.mine' : 'gathered.madeKnown')}
        </p>
      ) : (
        <p className={styles.maker}>
          {t('uploads.whoMade', { count: open.length })}
          <Button size="small" loading={declare.isPending} onClick={declareMine}>
            {t('rights.mine')}
          </Button>
          <Link component={RouterLink} to={`/evidence/${open[0]}`}>
            {t('rights.other')}
          </Link>
        </p>
      )}
      <Refusal error={tagMany.error ?? declare.error} />
      <p className={styles.quiet}>
        {t('gathered.inTray', { count: items.length })}{' '}
        <Link component={RouterLink} to={`/entries/new?about=${ids.slice(0, MOST_ABOUT).join(',')}`}>
          {t(items.length === 1 ? 'write' : 'writeAboutThese')}
        </Link>
      </p>
    </div>
  )
}
