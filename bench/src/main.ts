// npm run bench: one table of figures, each as a ratio to a reference that runs beside it.
import { writeFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import type { Row } from './compare.ts'
import { dueTogether, othersWhileDue } from './rows/dueTogether.ts'
import { entryKeystroke } from './rows/entryKeystroke.ts'
import { filterCounts, filteredPage, fullTextCommon, fullTextRare } from './rows/finding.ts'
import { firstAnswer } from './rows/firstAnswer.ts'
import { guideTable } from './rows/guideTable.ts'
import { initialJavascript } from './rows/initialJavascript.ts'
import { keystroke } from './rows/keystroke.ts'
import { listRoute } from './rows/listRoute.ts'
import { logbookOfMany } from './rows/logbook.ts'
import {
  cornersMissed,
  findingCorners,
  levels,
  recipeMemory,
  squaring,
  squaringInBrowser,
  squaringPreview,
} from './rows/pictures.ts'
import { feedbackThread, pageLook, pagePicture, todayOfMany } from './rows/schoolSize.ts'
import { gridNodes, scrollStep } from './rows/scrolling.ts'
import { uploadMemory, uploadTime } from './rows/upload.ts'

const rows = {
  initialJavascript,
  firstAnswer,
  listRoute,
  keystroke,
  entryKeystroke,
  filteredPage,
  filterCounts,
  fullTextRare,
  fullTextCommon,
  pageLook,
  pagePicture,
  feedbackThread,
  todayOfMany,
  logbookOfMany,
  guideTable,
  dueTogether,
  othersWhileDue,
  uploadTime,
  uploadMemory,
  scrollStep,
  gridNodes,
  squaring,
  squaringPreview,
  squaringInBrowser,
  levels,
  findingCorners,
  cornersMissed,
  recipeMemory,
}

const { values } = parseArgs({ options: { json: { type: 'string' }, only: { type: 'string' } } })
const wanted = values.only?.split(',') ?? Object.keys(rows)
const unknown = wanted.filter((name) => !(name in rows))
if (unknown.length > 0) {
  process.stderr.write(`There is no row ${unknown.join(', ')}. There are: ${Object.keys(rows).join(', ')}.\n`)
  process.exit(1)
}

const measured: Row[] = []
for (const [name, measure] of Object.entries(rows)) {
  if (!wanted.includes(name)) continue
  process.stderr.write(`${name}…\n`)
  measured.push(await measure())
}
process.stdout.write(table(measured))
if (values.json !== undefined) writeFileSync(values.json, `${JSON.stringify(measured, null, 2)}\n`)

function table(list: readonly Row[]): string {
  const lines = list.map(({ name, ratio, limit, within, quartiles, reference, unit }) => {
    const verdict = within === true ? 'within' : within === false ? 'OVER' : within
    const [low, high] = quartiles.map((value) => value.toFixed(2))
    return `${name.padEnd(44)} ${ratio.toFixed(2).padStart(6)}  ${limit.toFixed(2).padStart(6)}  ${verdict.padEnd(9)}  ${low}–${high}  ${reference.toFixed(2)} ${unit}`
  })
  return [
    'what                                          ratio   limit  verdict    quartiles  reference',
    ...lines,
    '',
  ].join('\n')
}
