// Jest and Playwright as the commands run them: what they say goes to the screen, what they counted comes back.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startPostgres } from './postgres.mjs'
import { bin, show } from './run.mjs'

/** The counts of a run; `flaky` holds a few lines about each test that passed only at the second attempt. */
const nothing = { passed: 0, failed: 0, skipped: 0, flaky: [] }

export function runJest(more = []) {
  const { status, result } = withReport((report) => {
    const [node, jest] = bin('jest/bin/jest.js')
    const args = [jest, '--json', `--outputFile=${report}`, '--reporters=default', ...more]
    // With --json the report would be printed as well, on the stream that is left out; words for people come on the other.
    return show(
      node,
      args,
      { NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning' },
      ['ignore', 'ignore', 'inherit'],
    )
  })
  return atLeastOneFailed(status, {
    ...nothing,
    passed: result?.numPassedTests ?? 0,
    // A file that cannot even be loaded runs no test, so it is counted itself.
    failed: (result?.numFailedTests ?? 0) + (result?.numRuntimeErrorTestSuites ?? 0),
    skipped: (result?.numPendingTests ?? 0) + (result?.numTodoTests ?? 0),
  })
}

export function runPlaywright() {
  const { status, result } = withReport((report) =>
    withPostgres((addresses) => {
      const [node, playwright] = bin('@playwright/test/cli.js')
      const args = [playwright, 'test', '--config', 'e2e/playwright.config.ts']
      const onPostgres = addresses === null ? {} : { VALISE_E2E_POSTGRES: addresses.join(' ') }
      return show(node, args, { PLAYWRIGHT_JSON_OUTPUT_NAME: report, ...onPostgres })
    }),
  )
  const flaky = specsIn(result?.suites ?? []).filter(({ tests }) =>
    tests.some((one) => one.status === 'flaky'),
  )
  return atLeastOneFailed(status, {
    passed: (result?.stats.expected ?? 0) + (result?.stats.flaky ?? 0),
    failed: result?.stats.unexpected ?? 0,
    skipped: result?.stats.skipped ?? 0,
    flaky: flaky.map(tellFlaky),
  })
}

/** Runs with the addresses of empty databases on PostgreSQL, one for each try; with null where the machine has none. */
function withPostgres(run) {
  const folder = mkdtempSync(join(tmpdir(), 'valise-journeys-'))
  const postgres = startPostgres(join(folder, 'postgres'))
  try {
    return run(postgres && ['first', 'second'].map((name) => postgres.createDatabase(name)))
  } finally {
    postgres?.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

function specsIn(suites) {
  return suites.flatMap(({ specs = [], suites: within = [] }) => [...specs, ...specsIn(within)])
}

/** Where it stands, what went wrong the first time, and the trace of the second try: only that one is recorded. */
function tellFlaky({ file, line, title, tests }) {
  const tries = tests.flatMap(({ results }) => results)
  const went = tries[0].error?.stack ?? tries[0].status
  const trace = tries.flatMap(({ attachments }) => attachments).find(({ name }) => name === 'trace')
  return `flaky: ${file}:${line} ${title}\n${went}\ntrace: ${trace?.path ?? 'none'}`
}

/** A runner that failed without naming a test still fails the whole. */
function atLeastOneFailed(status, count) {
  return { ...count, failed: status !== 0 && count.failed === 0 ? 1 : count.failed }
}

function withReport(run) {
  const folder = mkdtempSync(join(tmpdir(), 'valise-report-'))
  const report = join(folder, 'report.json')
  try {
    const status = run(report)
    return { status, result: readReport(report) }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    // No report means that the runner did not get that far; its exit code says so.
    return null
  }
}
