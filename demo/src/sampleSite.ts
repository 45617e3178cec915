// For tests: a server over a copy of the sample world, as the demo built it before all tests.
import { openSqlite, shiftedClock } from '@valise/server'
import { makeTestSite, TEST_START } from '@valise/server/testing'
import type { TestSite } from '@valise/server/testing'
import { copyFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoRoutes } from './demoRoutes.ts'

export interface SampleSite {
  readonly site: TestSite
  close(): Promise<void>
}

export function openSampleSite(): SampleSite {
  const world = process.env['VALISE_TEST_WORLD']
  if (world === undefined) throw new Error('beforeTests.mjs has not built the sample world')
  const folder = mkdtempSync(join(tmpdir(), 'valise-sample-'))
  for (const name of ['valise.sqlite', 'sample-world.json'])
    copyFileSync(join(world, name), join(folder, name))
  const clock = shiftedClock(TEST_START)
  const database = openSqlite({ file: join(folder, 'valise.sqlite'), clock, synced: false })
  const site = makeTestSite(database, demoRoutes({ dataFolder: folder, host: '127.0.0.1' }, null))
  cpSync(join(world, 'files'), join(site.services.config.dataFolder, 'files'), { recursive: true })
  return {
    site,
    close: async () => {
      await database.close()
      rmSync(folder, { recursive: true })
    },
  }
}
