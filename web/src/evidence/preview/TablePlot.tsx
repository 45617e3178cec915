// A plot of a data table: one column across, one or more up. Lines differ in their marks and names.
import type { DataTable } from '@valise/core/evidence'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../../ui/SelectField.tsx'
import { drawPlot } from './drawPlot.ts'
import styles from './Preview.module.css'

interface TablePlotProps {
  readonly table: DataTable
  readonly title: string
}

export function TablePlot({ table, title }: TablePlotProps) {
  const { t } = useTranslation('evidence')
  const numeric = table.columns.flatMap(({ isNumeric }, n) => (isNumeric ? [n] : []))
  const [across, setAcross] = useState(numeric.length > 1 ? (numeric[0] ?? 0) : -1)
  const [up, setUp] = useState(numeric.find((n) => n !== across) ?? 0)
  const plot = useRef<HTMLDivElement>(null)
  const nameOf = (n: number) => table.columns[n]?.name || t('preview.column', { n: n + 1 })
  const [acrossName, upName] = [across === -1 ? t('preview.rowNumber') : nameOf(across), nameOf(up)]
  useEffect(() => {
    const { current } = plot
    if (!current) return
    return drawPlot(current, {
      across: across === -1 ? null : numbersIn(table, across),
      up: numbersIn(table, up),
      names: [acrossName, upName],
    })
  }, [table, across, up, acrossName, upName])
  return (
    <>
      <div className={styles.axes}>
        <SelectField
          label={t('preview.across')}
          value={String(across)}
          choices={[['-1', t('preview.rowNumber')], ...numeric.map((n) => [String(n), nameOf(n)] as const)]}
          onChange={(n) => setAcross(Number(n))}
        />
        <SelectField
          label={t('preview.up')}
          value={String(up)}
          choices={numeric.map((n) => [String(n), nameOf(n)] as const)}
          onChange={(n) => setUp(Number(n))}
        />
      </div>
      <div
        ref={plot}
        className={styles.plot}
        role="img"
        aria-label={t('preview.plotOf', { title, across: acrossName, up: upName })}
      />
    </>
  )
}

function numbersIn({ rows }: DataTable, column: number): (number | null)[] {
  return rows.map((cells) => {
    const text = (cells[column] ?? '').trim().replace(',', '.')
    return text === '' || Number.isNaN(Number(text)) ? null : Number(text)
  })
}
