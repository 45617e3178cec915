// Before all tests: bundles them, builds the programs and the sample world, makes a folder that they share, and starts a
// PostgreSQL of our own where the machine has one.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bundleTests } from './bundleTests.mjs'
import { startPostgres } from './postgres.mjs'
import { buildWorldWhereChanged } from './prepare.mjs'

export default async function beforeTests() {
  await bundleTests()
  process.env.VALISE_TEST_WORLD = await buildWorldWhereChanged()
  const folder = mkdtempSync(join(tmpdir(), 'valise-tests-'))
  process.env.VALISE_TEST_FOLDER = folder
  // Without PostgreSQL, SQLite alone is tested.
  const postgres = startPostgres(join(folder, 'postgres'))
  if (postgres) process.env.VALISE_TEST_POSTGRES = join(folder, 'postgres')
  globalThis.tidyAfterTests = () => {
    postgres?.stop()
    rmSync(folder, { recursive: true })
  }
}
