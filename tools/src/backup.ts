// npm run backup -- FILE: the whole data folder in one ZIP, while the server may go on running. A database on PostgreSQL is
// saved by its own tools, before the folder: files are only ever added before the rows that name them.
import { createWriteStream, existsSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { parseArgs } from 'node:util'
import Database from 'better-sqlite3'
import { ZipFile } from 'yazl'

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: 'string', default: process.env['VALISE_DATA'] ?? 'data' } },
})

const [file] = positionals
const dataFolder = resolve(values.data)
const database = join(dataFolder, 'valise.sqlite')
const isOnPostgres = process.env['VALISE_POSTGRES'] !== undefined
const there = isOnPostgres ? join(dataFolder, 'server.keys') : database

if (!file) giveUp('Say where the backup goes: npm run backup -- FILE [--data DIR]')
else if (existsSync(file)) giveUp(`${file} is there already. Give a name that is free.`)
else if (!existsSync(there)) giveUp(`${dataFolder} holds no Valise. Give its folder with --data.`)
else await backUp(resolve(file))

async function backUp(target: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'valise-backup-'))
  const zip = new ZipFile()
  try {
    if (!isOnPostgres) zip.addFile(await copyDatabase(folder), 'valise.sqlite')
    // Evidence is compressed already, most of it.
    for (const path of filesIn(dataFolder, ''))
      zip.addFile(join(dataFolder, path), path, { compress: !path.startsWith('files/') })
    zip.end()
    await pipeline(zip.outputStream, createWriteStream(target, { mode: 0o600, flags: 'wx' }))
    const size = Math.ceil(statSync(target).size / 1000).toLocaleString('en')
    process.stdout.write(
      `Saved ${dataFolder} to ${target}, ${size} kB. It holds the server's keys, so guard it like the folder itself.\n`,
    )
    if (isOnPostgres)
      process.stdout.write('The database is not in it. Keep it with what pg_dump saved just before.\n')
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** Taken first: files are only ever added before the rows that name them. */
async function copyDatabase(folder: string): Promise<string> {
  const copy = join(folder, 'valise.sqlite')
  const source = new Database(database, { readonly: true })
  await source.backup(copy)
  source.close()
  return copy
}

function filesIn(folder: string, below: string): string[] {
  return readdirSync(join(folder, below), { withFileTypes: true }).flatMap((entry) => {
    const path = below === '' ? entry.name : `${below}/${entry.name}`
    // What is still coming in changes while this reads it; whoever sends it begins again.
    if (path === 'files/incoming') return []
    if (entry.isDirectory()) return filesIn(folder, path)
    return /^valise\.sqlite(-wal|-shm)?$/.test(path) ? [] : [path]
  })
}

function giveUp(line: string): void {
  process.stderr.write(`${line}\n`)
  process.exitCode = 1
}
