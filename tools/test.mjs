// npm test: everything that must hold, on a fresh machine too. Ends with `N passed, N failed, N skipped`.
import { readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { checks, runChecks } from './lib/checks.mjs'
import { ensureBrowser } from './lib/chromium.mjs'
import { buildWhereChanged, install } from './lib/prepare.mjs'
import { bin, hear, show } from './lib/run.mjs'

const total = { passed: 0, failed: 0, skipped: 0 }

install()
ensureBrowser('chromium-headless-shell')

const [node] = bin('')
// One check counts as one test.
for (const { name, status, output } of await runChecks(checks)) {
  process.stdout.write(`${name}: ${status === 0 ? 'passed' : `failed\n${output}`}\n`)
  total[status === 0 ? 'passed' : 'failed'] += 1
}
runJest()
try {
  await buildWhereChanged()
  total.passed += 1
  runPlaywright()
} catch (error) {
  total.failed += 1
  process.stdout.write(`build: failed\n${error.stack}\n`)
}

process.exitCode = total.failed === 0 ? 0 : 1
process.stdout.write(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped\n`)

function runJest() {
  const report = join(tmpdir(), `valise-jest-${process.pid}.json`)
  const options = '--experimental-vm-modules --disable-warning=ExperimentalWarning'
  const args = ['node_modules/jest/bin/jest.js', '--json', `--outputFile=${report}`]
  const { status, output } = hear(node, args, { NODE_OPTIONS: options })
  // With --json the report itself is printed as well; the words for people come on the error stream.
  process.stdout.write(
    `${output
      .split('\n')
      .filter((line) => !line.startsWith('{"num'))
      .join('\n')}\n`,
  )
  const result = readReport(report)
  add({
    passed: result?.numPassedTests ?? 0,
    // A file that cannot even be loaded runs no test, so it is counted itself.
    failed: (result?.numFailedTests ?? 0) + (result?.numRuntimeErrorTestSuites ?? 0),
    skipped: (result?.numPendingTests ?? 0) + (result?.numTodoTests ?? 0),
    status,
  })
}

function runPlaywright() {
  const report = join(tmpdir(), `valise-playwright-${process.pid}.json`)
  const args = ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts']
  const status = show(node, args, { PLAYWRIGHT_JSON_OUTPUT_NAME: report })
  const stats = readReport(report)?.stats
  add({
    passed: (stats?.expected ?? 0) + (stats?.flaky ?? 0),
    failed: stats?.unexpected ?? 0,
    skipped: stats?.skipped ?? 0,
    status,
  })
}

/** A runner that failed without naming a test still fails the whole. */
function add({ passed, failed, skipped, status }) {
  total.passed += passed
  total.failed += status !== 0 && failed === 0 ? 1 : failed
  total.skipped += skipped
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    // No report means that the runner did not get that far; its exit code says so.
    return null
  } finally {
    rmSync(file, { force: true })
  }
}
