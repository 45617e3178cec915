// News in the database: one row per person and thing that happened.
import type { NewsItem, NewsKind, NewsPage, NewsParams } from '@valise/core/news'
import { countRows, newestFirst, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

interface NewsOfKind<K extends NewsKind> {
  readonly personId: string
  readonly kind: K
  readonly params: NewsParams<K>
}
export type NewsToTell = { [K in NewsKind]: NewsOfKind<K> }[NewsKind]

/** Saves a piece of news. @returns its id */
export async function tellNews(trx: Trx, news: NewsToTell): Promise<string> {
  const id = trx.newId()
  await trx.sql('news').insert({
    personId: news.personId,
    id,
    kind: news.kind,
    params: JSON.stringify(news.params),
    // News of a thing go with it.
    thingId: 'thingId' in news.params ? news.params.thingId : null,
    at: trx.now,
    seenAt: null,
  })
  return id
}

/** Deletes news of something that was undone. */
export async function forgetNews(trx: Trx, personId: string, id: string): Promise<void> {
  await trx.sql('news').where({ personId, id }).delete()
}

export async function listNews(
  reader: Reader,
  personId: string,
  cursor: string | undefined,
): Promise<NewsPage> {
  const limit = 30
  const rows: NewsRow[] = await newestFirst(reader.sql('news').where({ personId }), ['news', 'at'], {
    cursor,
    limit,
  })
  const items = rows.slice(0, limit).map(toNewsItem)
  const last = items.at(-1)
  return {
    items,
    unseen: await countRows(reader.sql('news').where({ personId, seenAt: null })),
    next: rows.length > limit && last ? toCursor([last.at, last.id]) : null,
  }
}

/** Marks a piece of news and everything older as seen. */
export async function markNewsSeen(trx: Trx, personId: string, upTo: string): Promise<void> {
  const newest: NewsRow | undefined = await trx.sql('news').where({ personId, id: upTo }).first()
  if (!newest) return
  await trx
    .sql('news')
    .where({ personId, seenAt: null })
    .where((q) =>
      q.where('at', '<', newest.at).orWhere((same) => same.where('at', newest.at).where('id', '<=', upTo)),
    )
    .update({ seenAt: trx.now })
}

interface NewsRow {
  id: string
  kind: NewsKind
  at: string
  seenAt: string | null
  params: string
}

function toNewsItem({ id, kind, at, seenAt, params }: NewsRow): NewsItem {
  return { id, kind, at, seen: seenAt !== null, params: JSON.parse(params) }
}
