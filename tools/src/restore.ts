// npm run restore -- FILE: a backup into an empty data folder. The server must not be running there.
import { createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { dirname, join, normalize, resolve } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { parseArgs, promisify } from 'node:util'
import Database from 'better-sqlite3'
import { open } from 'yauzl'
import type { Entry, ZipFile } from 'yauzl'

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: 'string', default: process.env['VALISE_DATA'] ?? 'data' } },
})

const [file] = positionals
const dataFolder = resolve(values.data)

if (!file) giveUp('Say which backup: npm run restore -- FILE [--data DIR]')
else if (!existsSync(file)) giveUp(`${file} is not there. Give the path of a backup.`)
else if (existsSync(dataFolder) && readdirSync(dataFolder).length > 0) {
  giveUp(`${dataFolder} is not empty. Move it away, or give another folder with --data.`)
} else await restore(resolve(file))

/** Unpacks beside the folder and moves it there once it is whole, so that a broken backup leaves nothing half. */
async function restore(source: string): Promise<void> {
  const half = `${dataFolder}.restoring`
  rmSync(half, { recursive: true, force: true })
  try {
    await unpack(source, half)
    assertWhole(join(half, 'valise.sqlite'))
  } catch (error) {
    rmSync(half, { recursive: true, force: true })
    const why = error instanceof Error ? error.message : String(error)
    return giveUp(`${source} is no whole backup (${why}). Nothing was changed.`)
  }
  rmSync(dataFolder, { recursive: true, force: true })
  renameSync(half, dataFolder)
  process.stdout.write(`Brought ${source} back into ${dataFolder}.\n`)
}

async function unpack(source: string, target: string): Promise<void> {
  const openZip = promisify<string, { lazyEntries: boolean }, ZipFile>(open)
  const zip = await openZip(source, { lazyEntries: true })
  const openEntry = promisify<Entry, Readable>(zip.openReadStream.bind(zip))
  await new Promise<void>((done, failed) => {
    zip.on('entry', (entry: Entry) => {
      const path = normalize(join(target, entry.fileName))
      if (!path.startsWith(target))
        return failed(new Error(`it names a place outside the folder: ${entry.fileName}`))
      mkdirSync(dirname(path), { recursive: true })
      openEntry(entry)
        .then((content) => pipeline(content, createWriteStream(path, { mode: 0o600 })))
        .then(() => zip.readEntry(), failed)
    })
    zip.on('end', done)
    zip.on('error', failed)
    zip.readEntry()
  })
}

/** @throws Error when the database is missing or damaged */
function assertWhole(file: string): void {
  const database = new Database(file, { fileMustExist: true })
  const result = database.pragma('integrity_check', { simple: true })
  database.close()
  if (result !== 'ok') throw new Error(`its database is damaged: ${String(result)}`)
}

function giveUp(line: string): void {
  process.stderr.write(`${line}\n`)
  process.exitCode = 1
}
