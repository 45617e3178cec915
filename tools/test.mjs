// npm test: everything that must hold, on a fresh machine too. Ends with `N passed, N failed, N skipped`.
import { buildCheck, checks, runChecks } from './lib/checks.mjs'
import { ensureBrowser } from './lib/chromium.mjs'
import { install } from './lib/prepare.mjs'
import { runJest, runPlaywright } from './lib/runners.mjs'

install()
ensureBrowser('chromium-headless-shell')

const started = performance.now()
// One check counts as one test.
const runs = [await runChecks([buildCheck, ...checks]), runJest(), runPlaywright()]

const sum = (what) => runs.reduce((total, run) => total + run[what], 0)
const flaky = runs.flatMap((run) => run.flaky ?? [])
const minutes = (performance.now() - started) / 60_000
process.exitCode = sum('failed') === 0 ? 0 : 1
process.stdout.write(`\nafter installing: ${minutes.toFixed(1)} minutes\n`)
for (const line of flaky) process.stdout.write(`\n${line}\n`)
process.stdout.write(`\n${sum('passed')} passed, ${sum('failed')} failed, ${sum('skipped')} skipped\n`)
