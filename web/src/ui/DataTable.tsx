// A plain table whose rows become labelled blocks on a phone.
import type { ReactNode } from 'react'
import styles from './DataTable.module.css'

interface TableColumn<T> {
  readonly key: string
  readonly head: string
  readonly cell: (row: T) => ReactNode
  readonly width?: string
}

interface DataTableProps<T> {
  readonly label: string
  readonly columns: readonly TableColumn<T>[]
  readonly rows: readonly T[]
  readonly keyOf: (row: T) => string
}

export function DataTable<T>({ label, columns, rows, keyOf }: DataTableProps<T>) {
  return (
    <table className={styles.table} aria-label={label}>
      <colgroup>
        {columns.map((column) => (
          <col key={column.key} width={column.width} />
        ))}
      </colgroup>
      <thead>
        <tr>
          {columns.map((column) => (
            <th key={column.key} scope="col">
              {column.head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={keyOf(row)}>
            {columns.map((column) => (
              <td key={column.key} data-head={column.head}>
                {column.cell(row)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
