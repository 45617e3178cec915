// npm run trouble: kills, a full disk, bombs and starvation, against the built server. Prints a table; fails where one fails.
import { bombsTrial } from './bombs.ts'
import { fullDisk } from './fullDisk.ts'
import { kills } from './kills.ts'
import { starvation } from './starvation.ts'
import type { Finding, Trial } from './trial.ts'
import { finding } from './trial.ts'

/** All of it may take ten minutes; a trial that hangs must not take the others along. */
const LONGEST_MS = 600_000
const trials: readonly Trial[] = [kills, fullDisk, starvation, bombsTrial]

const wanted = process.argv.slice(2)
const chosen = wanted.length === 0 ? trials : trials.filter(({ name }) => wanted.includes(name.toLowerCase()))
const endsAt = Date.now() + LONGEST_MS
const rows: [trial: string, Finding][] = []
for (const { name, run } of chosen) {
  process.stdout.write(`${name}…\n`)
  for (const found of await within(run, endsAt - Date.now())) rows.push([name, found])
}
print(rows)
const failed = rows.filter(([, { isFine }]) => !isFine).length
process.stdout.write(`${rows.length - failed} fine, ${failed} not\n`)
process.exit(failed === 0 ? 0 : 1)

async function within(run: Trial['run'], milliseconds: number): Promise<Finding[]> {
  const late = new Promise<Finding[]>((resolve) =>
    setTimeout(
      () => resolve([finding('the time for all trials', 'over', '≤ 10 minutes', false)]),
      milliseconds,
    ).unref(),
  )
  try {
    return await Promise.race([run(), late])
  } catch (error) {
    return [
      finding('the trial itself', error instanceof Error ? error.message : String(error), 'runs', false),
    ]
  }
}

function print(table: readonly [string, Finding][]): void {
  const cells = table.map(([trial, { what, measured, wanted: limit, isFine }]) => [
    ...[trial, what, measured, limit, isFine ? 'fine' : 'NOT FINE'],
  ])
  const all = [['trial', 'what', 'measured', 'wanted', ''], ...cells]
  const widths = [0, 1, 2, 3, 4].map((at) => Math.max(...all.map((row) => (row[at] ?? '').length)))
  for (const row of all)
    process.stdout.write(
      `${row
        .map((cell, at) => cell.padEnd(widths[at] ?? 0))
        .join('  ')
        .trimEnd()}\n`,
    )
}
