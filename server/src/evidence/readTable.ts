// The head of a data table: columns, which of them hold numbers, and rows to show and to plot.
import { buffer } from 'node:stream/consumers'
import type { DataTable } from '@valise/core/evidence'
import { parse } from 'csv-parse/sync'
import type { FileStore } from '../files/index.ts'
import { decodeText } from './readText.ts'

export interface TableToRead {
  readonly sha256: string
  readonly bytes: number
}

const HEAD_BYTES = 4 * 1_048_576
const MOST_ROWS = 5000
const MOST_COLUMNS = 60
const LONGEST_CELL = 500
const separators = [',', ';', '\t', '|']

export async function readTable(files: FileStore, file: TableToRead): Promise<DataTable> {
  const last = Math.min(file.bytes, HEAD_BYTES) - 1
  const { text } = decodeText(await buffer(await files.open(file.sha256, { first: 0, last })))
  const rows = parseRows(text)
  const [head = [], ...body] = rows
  const width = Math.min(MOST_COLUMNS, Math.max(...rows.slice(0, 200).map((row) => row.length), 1))
  const columns = Array.from({ length: width }, (_, n) => ({
    name: (head[n] ?? '').slice(0, LONGEST_CELL),
    isNumeric: isNumeric(body, n),
  }))
  const shown = body
    .slice(0, MOST_ROWS)
    .map((row) => Array.from({ length: width }, (_, n) => (row[n] ?? '').slice(0, LONGEST_CELL)))
  return { columns, rows: shown, count: body.length }
}

function parseRows(text: string): string[][] {
  const first = text.slice(0, text.search(/\r|\n|$/))
  const counts = separators.map((sign) => first.split(sign).length)
  const delimiter = separators[counts.indexOf(Math.max(...counts))] ?? ','
  return parse(text, {
    delimiter,
    relax_column_count: true,
    relax_quotes: true,
    skip_empty_lines: true,
    skip_records_with_error: true,
    bom: true,
  })
}

/** Whether nearly all that stands in a column is numbers, written with a point or a comma. */
function isNumeric(rows: readonly (readonly string[])[], column: number): boolean {
  const cells = rows.map((row) => (row[column] ?? '').trim()).filter((cell) => cell !== '')
  const numbers = cells.filter((cell) => /^[+-]?(\d+([.,]\d+)?|[.,]\d+)(e[+-]?\d+)?$/i.test(cell))
  return cells.length > 0 && numbers.length / cells.length > 0.9
}
