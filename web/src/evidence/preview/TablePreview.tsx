// A data table: as a table, and as a plot of the columns that hold numbers.
import { useQuery } from '@tanstack/react-query'
import type { DataTable, Evidence } from '@valise/core/evidence'
import { lazy, Suspense, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../../api/index.ts'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { Loading } from '../../ui/Fetched.tsx'
import { evidenceQueries } from '../base/index.ts'
import { FileCard } from './FileCard.tsx'
import styles from './Preview.module.css'

const TablePlot = lazy(async () => ({ default: (await import('./TablePlot.tsx')).TablePlot }))

const SHOWN_ROWS = 200

export function TablePreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const [view, setView] = useState<'table' | 'plot'>('table')
  const query = useQuery(evidenceQueries.table(item.id, item.version.n))
  if (query.error instanceof ApiProblem) return <FileCard item={item} problem={t('preview.no-table')} />
  if (!query.data) return <Loading />
  const canPlot = query.data.columns.some(({ isNumeric }) => isNumeric) && query.data.rows.length > 1
  return (
    <div className={styles.data}>
      {canPlot ? (
        <ChoiceBar
          label={t('preview.view')}
          value={view}
          choices={[
            ['table', t('preview.asTable')],
            ['plot', t('preview.asPlot')],
          ]}
          onChange={setView}
        />
      ) : null}
      {view === 'plot' && canPlot ? (
        <Suspense fallback={<Loading />}>
          <TablePlot table={query.data} title={item.title} />
        </Suspense>
      ) : (
        <Rows table={query.data} />
      )}
    </div>
  )
}

function Rows({ table }: { readonly table: DataTable }) {
  const { t } = useTranslation('evidence')
  const { columns, rows, count } = table
  return (
    <>
      <div className={styles.rows} tabIndex={0} role="group" aria-label={t('preview.asTable')}>
        <table>
          <thead>
            <tr>
              {columns.map(({ name }, n) => (
                <th key={n} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, SHOWN_ROWS).map((cells, n) => (
              <tr key={n}>
                {cells.map((cell, place) => (
                  <td key={place} data-number={columns[place]?.isNumeric}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p>{t('preview.rows', { count, shown: Math.min(SHOWN_ROWS, rows.length) })}</p>
    </>
  )
}
