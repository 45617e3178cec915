// All of one kind that one may use: one's own, those of one's classes, those of the school, those that ship.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { IconCopy, IconPlus } from '@tabler/icons-react'
import { offerSources } from '@valise/core/offers'
import type { OfferedContent, OfferedRow } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { screenOf } from '@valise/core/things'
import type { ThingKind } from '@valise/core/things'
import { useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import type { PlaceName } from '../ui/place.ts'
import { LookInside } from './LookInside.tsx'
import type { OfferedApi } from './offeredApi.ts'
import styles from './Offers.module.css'

interface OfferedScreenProps<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly kind: ThingKind
  readonly words: OfferedWords
  readonly within?: PlaceName
  /** What is in one, for whoever looks before using it. */
  readonly inside: (content: C) => ReactNode
}

/** How a kind is spoken of. */
interface OfferedWords {
  readonly place: string
  readonly sentence: string
  readonly lead: string
  readonly begin: string
  readonly untitled: string
  /** What stands there while there is none. */
  readonly empty: string
  readonly size: (count: number) => string
}

export function OfferedScreen<C extends OfferedContent>(props: OfferedScreenProps<C>) {
  const { api, words, within, inside } = props
  const { t } = useTranslation('offers')
  const list = useQuery(api.queries.list())
  const [lookedAt, setLookedAt] = useState<OfferedRow | null>(null)
  const begin = useBegin(props)
  return (
    <Screen
      place={words.place}
      {...(within && { within })}
      sentence={words.sentence}
      lead={words.lead}
      act={
        <Button
          variant="contained"
          color="primary"
          loading={begin.isPending}
          startIcon={<IconPlus size={18} stroke={1.7} />}
          onClick={() => begin.begin()}
        >
          {words.begin}
        </Button>
      }
    >
      <Refusal error={begin.error} />
      <Fetched query={list}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty>{words.empty}</Empty>
          ) : (
            offerSources.map((source) => {
              const some = rows.filter((row) => row.source === source)
              return some.length === 0 ? null : (
                <section key={source} className={styles.source}>
                  <h2>{t(`sources.${source}`)}</h2>
                  <ul>
                    {some.map((row) => (
                      <OfferedLine
                        key={row.id}
                        {...props}
                        row={row}
                        onLook={() => setLookedAt(row)}
                        onCopy={() => begin.begin(row)}
                      />
                    ))}
                  </ul>
                </section>
              )
            })
          )
        }
      </Fetched>
      {lookedAt ? (
        <LookInside api={api} row={lookedAt} inside={inside} onClose={() => setLookedAt(null)} />
      ) : null}
    </Screen>
  )
}

interface OfferedLineProps<C extends OfferedContent> extends OfferedScreenProps<C> {
  readonly row: OfferedRow
  readonly onLook: () => void
  readonly onCopy: () => void
}

function OfferedLine<C extends OfferedContent>({ row, kind, words, onLook, onCopy }: OfferedLineProps<C>) {
  const { t, i18n } = useTranslation('offers')
  const { id, title, about, size, ownerName, mayEdit, n, isNewer } = row
  const name = textIn(title, i18n.language) || words.untitled
  const state = n === 0 ? 'draft' : isNewer ? 'newer' : null
  const facts = [
    words.size(size),
    ...(ownerName === null ? [] : [t('list.by', { name: ownerName })]),
    ...(state === null ? [] : [t(`list.${state}`)]),
  ]
  return (
    <li data-draft={n === 0}>
      <div>
        {mayEdit ? (
          <Link component={RouterLink} to={screenOf(kind, id)}>
            {name}
          </Link>
        ) : (
          <Link component="button" type="button" onClick={onLook}>
            {name}
          </Link>
        )}
        <p>{textIn(about, i18n.language)}</p>
        <small>{facts.join(', ')}</small>
      </div>
      <Button
        variant="text"
        startIcon={<IconCopy size={17} stroke={1.7} />}
        aria-label={t('list.copyOf', { name })}
        onClick={onCopy}
      >
        {t('list.copy')}
      </Button>
    </li>
  )
}

/** Begins one, empty or as a copy of another one, and goes there. */
function useBegin<C extends OfferedContent>({ api, kind }: Pick<OfferedScreenProps<C>, 'api' | 'kind'>) {
  const { t } = useTranslation('offers')
  const navigate = useNavigate()
  const create = api.useCreate()
  const begin = (from?: OfferedRow) => {
    const titles = Object.entries(from?.title ?? {}).map(([language, title]) => [
      language,
      t('list.copied', { title, lng: language }),
    ])
    create.mutate(
      {
        title: Object.fromEntries(titles),
        ...(from && { from: from.id }),
        key: crypto.randomUUID(),
      },
      { onSuccess: ({ id }) => void navigate(screenOf(kind, id)) },
    )
  }
  return { begin, isPending: create.isPending, error: create.error }
}
