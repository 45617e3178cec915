// The cover of a logbook, small: its picture, or the first letter of its title on a plain ground.
import { useQuery } from '@tanstack/react-query'
import type { LogbookRow } from '@valise/core/reflections'
import { evidenceQueries, Thumbnail } from '../evidence/base/index.ts'
import styles from './Reflections.module.css'

/** So many grounds there are for logbooks without a picture; the title decides, so that each keeps its own. */
const GROUNDS = 4

export function LogbookCover({ logbook }: { readonly logbook: Pick<LogbookRow, 'title' | 'coverId'> }) {
  const { title, coverId } = logbook
  const cover = useQuery({ ...evidenceQueries.one(coverId ?? ''), enabled: coverId !== null })
  const ground = [...title].reduce((sum, sign) => sum + (sign.codePointAt(0) ?? 0), 0) % GROUNDS
  return (
    <span className={styles.cover} data-ground={ground} aria-hidden="true">
      {cover.data && coverId !== null ? <Thumbnail item={cover.data} /> : <b>{[...title][0]}</b>}
    </span>
  )
}
