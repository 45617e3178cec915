// npm run restore -- FILE: a backup into an empty data folder. The server must not be running there.
import { createHash } from 'node:crypto'
import { createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { dirname, join, normalize, resolve, sep } from 'node:path'
import { Transform } from 'node:stream'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { parseArgs, promisify } from 'node:util'
import { crc32 } from 'node:zlib'
import Database from 'better-sqlite3'
import { open } from 'yauzl'
import type { Entry, ZipFile } from 'yauzl'

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: 'string', default: process.env['VALISE_DATA'] ?? 'data' } },
})

/** Evidence by the hash that is its name. */
const STORED = /^files\/[0-9a-f]{2}\/([0-9a-f]{64})$/

const [file] = positionals
const dataFolder = resolve(values.data)
const isOnPostgres = process.env['VALISE_POSTGRES'] !== undefined

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
    assertWhole(half, await unpack(source, half))
  } catch (error) {
    rmSync(half, { recursive: true, force: true })
    const why = error instanceof Error ? error.message : String(error)
    return giveUp(`${source} is no whole backup (${why}). Nothing was changed.`)
  }
  rmSync(dataFolder, { recursive: true, force: true })
  renameSync(half, dataFolder)
  process.stdout.write(`Restored ${source} to ${dataFolder}. Every file was checked.\n`)
}

/**
 * Unpacks all entries and checks each against its CRC; evidence against the hash that names it as well.
 *
 * @returns the size of each file of evidence, by its hash
 * @throws Error that says what is damaged
 */
async function unpack(source: string, target: string): Promise<Map<string, number>> {
  const openZip = promisify<string, { lazyEntries: boolean }, ZipFile>(open)
  const zip = await openZip(source, { lazyEntries: true })
  const openEntry = promisify<Entry, Readable>(zip.openReadStream.bind(zip))
  const stored = new Map<string, number>()
  const takeOut = async (entry: Entry) => {
    const path = normalize(join(target, entry.fileName))
    if (!path.startsWith(`${target}${sep}`))
      throw new Error(`it names a place outside the folder: ${entry.fileName}`)
    mkdirSync(dirname(path), { recursive: true })
    const sum = checksums()
    await pipeline(await openEntry(entry), sum.through, createWriteStream(path, { mode: 0o600 }))
    const [, name] = STORED.exec(entry.fileName) ?? []
    const { crc, sha256, bytes } = sum.result()
    if (crc !== entry.crc32 || (name !== undefined && name !== sha256))
      throw new Error(`${entry.fileName} is damaged`)
    if (name !== undefined) stored.set(name, bytes)
  }
  await new Promise<void>((done, failed) => {
    zip.on('entry', (entry: Entry) => void takeOut(entry).then(() => zip.readEntry(), failed))
    zip.on('end', done)
    zip.on('error', failed)
    zip.readEntry()
  })
  return stored
}

/** The checksums of what flows through. */
function checksums() {
  const hash = createHash('sha256')
  let crc = 0
  let bytes = 0
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk)
      crc = crc32(chunk, crc)
      bytes += chunk.length
      done(null, chunk)
    },
  })
  return { through, result: () => ({ crc, bytes, sha256: hash.digest('hex') }) }
}

/** @throws Error when keys or database are missing or damaged, or something that the database refers to is not there */
function assertWhole(folder: string, stored: ReadonlyMap<string, number>): void {
  if (!existsSync(join(folder, 'server.keys'))) throw new Error('the keys of its server are missing')
  if (existsSync(join(folder, 'valise.sqlite'))) return assertFilesOf(folder, stored)
  if (!isOnPostgres)
    throw new Error(
      'it holds no database; where that is on PostgreSQL, set VALISE_POSTGRES and restore it first',
    )
}

function assertFilesOf(folder: string, stored: ReadonlyMap<string, number>): void {
  const database = new Database(join(folder, 'valise.sqlite'), { fileMustExist: true })
  try {
    const result = database.pragma('integrity_check', { simple: true })
    if (result !== 'ok') throw new Error(`its database is damaged: ${String(result)}`)
    // What nothing refers to may have been swept away while the backup was made.
    const wanted = database.prepare('SELECT sha256, bytes FROM files WHERE looseSince IS NULL').all() as {
      sha256: string
      bytes: number
    }[]
    const missing = wanted.filter(({ sha256, bytes }) => stored.get(sha256) !== bytes)
    if (missing.length > 0)
      throw new Error(
        `${missing.length} of its ${wanted.length} files are missing, such as ${missing[0]?.sha256}`,
      )
  } finally {
    database.close()
  }
}

function giveUp(line: string): void {
  process.stderr.write(`${line}\n`)
  process.exitCode = 1
}
