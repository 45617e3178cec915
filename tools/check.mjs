// npm run check: what a change must hold before it is shown to somebody: format, lint, types, and the tests that it touches.
import { checks, runChecks } from './lib/checks.mjs'
import { install } from './lib/prepare.mjs'
import { hear } from './lib/run.mjs'
import { runJest } from './lib/runners.mjs'

install()

// A change is what was written since the branch left the common main, committed or not.
const { status, output } = hear('git', ['merge-base', 'HEAD', 'origin/main'])
const base = status === 0 ? output.trim() : 'HEAD'

const { failed } = await runChecks(checks)
const tests = runJest([`--changedSince=${base}`, '--passWithNoTests'])
process.exitCode = failed + tests.failed === 0 ? 0 : 1
