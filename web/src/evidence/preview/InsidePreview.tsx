// A text or a word-processor document: what it says, without how it looked.
import { useQuery } from '@tanstack/react-query'
import type { DocumentBlock, Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../../api/index.ts'
import { Loading } from '../../ui/Fetched.tsx'
import { evidenceQueries } from '../base/index.ts'
import { FileCard } from './FileCard.tsx'
import styles from './Preview.module.css'

const SHOWN_BLOCKS = 400

export function InsidePreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const { id, version } = item
  const query = useQuery({
    ...evidenceQueries.inside(id, version.n),
    enabled: version.textState !== 'unread',
  })
  if (version.textState === 'unread') return <FileCard item={item} problem={t('preview.reading')} />
  if (query.error instanceof ApiProblem) return <FileCard item={item} />
  if (!query.data) return <Loading />
  const { blocks, isCut } = query.data
  if (blocks.length === 0) return <FileCard item={item} problem={t('preview.no-words')} />
  return (
    <div className={styles.inside} tabIndex={0} role="group" aria-label={t('preview.inside')}>
      {blocks.slice(0, SHOWN_BLOCKS).map((block, n) => (
        <Block key={n} block={block} />
      ))}
      {isCut || blocks.length > SHOWN_BLOCKS ? <p>{t('preview.cut')}</p> : null}
    </div>
  )
}

function Block({ block }: { readonly block: DocumentBlock }) {
  switch (block.kind) {
    case 'heading':
      return <h3 data-level={block.level}>{block.text}</h3>
    case 'item':
      return <p data-item>{block.text}</p>
    case 'paragraph':
      return <p>{block.text}</p>
    case 'table':
      return (
        <table>
          <tbody>
            {block.rows.map((cells, n) => (
              <tr key={n}>
                {cells.map((cell, place) => (
                  <td key={place}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )
  }
}
