// The commands as somebody types them: the demo's options and its refusals, set-up, backup and restore.
import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import {
  cpSync,
  createWriteStream,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { fileURLToPath } from 'node:url'
import { ZipFile } from 'yazl'

const programs = fileURLToPath(new URL('../../server/dist', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'valise-commands-'))
const running = new Set<ChildProcess>()
afterAll(async () => {
  await Promise.all([...running].map(stop))
  rmSync(folder, { recursive: true, force: true })
})

type Env = Record<string, string>

/** Runs a program to its end. */
function run(program: string, args: string[], env: Env = {}) {
  return new Promise<{ code: number | null; said: string }>((resolve) => {
    const child = spawn(process.execPath, [join(programs, program), ...args], {
      env: { ...process.env, ...env },
    })
    let said = ''
    child.stdout.on('data', (text: Buffer) => (said += text))
    child.stderr.on('data', (text: Buffer) => (said += text))
    child.on('exit', (code) => resolve({ code, said }))
  })
}

/** Starts a server and waits until it says that it is there. */
async function start(program: string, args: string[], sign: string, env: Env = {}): Promise<ChildProcess> {
  const child = spawn(process.execPath, [join(programs, program), ...args], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  running.add(child)
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => text.includes(sign) && resolve())
    child.on('exit', (code) => reject(new Error(`${program} ended with ${code}`)))
  })
  return child
}

async function stop(child: ChildProcess): Promise<void> {
  running.delete(child)
  await new Promise((resolve) => {
    child.removeAllListeners('exit').once('exit', resolve)
    child.kill('SIGTERM')
  })
}

/** The path of a file of evidence within a data folder. */
function someFileOf(data: string): string {
  const shelf = readdirSync(join(data, 'files')).find((name) => /^[0-9a-f]{2}$/.test(name)) ?? ''
  return `files/${shelf}/${readdirSync(join(data, 'files', shelf))[0]}`
}

/** A backup in which one byte of a file is another. */
function withOneByteChanged(backup: Buffer, path: string): Buffer {
  const at = backup.indexOf(path) + path.length + 20
  const changed = Buffer.from(backup)
  changed[at] = (changed[at] ?? 0) ^ 1
  return changed
}

async function zipWithout(data: string, path: string, target: string): Promise<void> {
  const zip = new ZipFile()
  for (const entry of readdirSync(data, { recursive: true, withFileTypes: true })) {
    const name = relative(data, join(entry.parentPath, entry.name))
    if (entry.isFile() && name !== path) zip.addFile(join(data, name), name)
  }
  zip.end()
  await pipeline(zip.outputStream, createWriteStream(target))
}

describe('the demo', () => {
  it('says in one line what stands in its way', async () => {
    const other = createServer()
    await new Promise<void>((resolve) => other.listen(7801, '127.0.0.1', resolve))
    const data = join(folder, 'taken')
    const taken = await run('serve.js', ['--port', '7801', '--data', data])
    expect(taken).toEqual({
      code: 1,
      said: expect.stringMatching(/^Another program uses port 7801\. .*--port.*\n$/),
    })
    expect(existsSync(data)).toBe(false)
    const beside = await run('serve.js', ['--port', '7800', '--data', data])
    expect(beside).toEqual({ code: 1, said: expect.stringMatching(/^Another program uses port 7801\./) })
    await new Promise((resolve) => other.close(resolve))

    const file = join(folder, 'file')
    writeFileSync(file, 'mine')
    const closed = await run('serve.js', ['--port', '7803', '--data', join(file, 'below')])
    expect(closed.code).toBe(1)
    expect(closed.said).toContain('The data folder cannot be written')

    expect((await run('serve.js', ['--port', 'many'])).said).toBe(
      '--port must be a number up to 65533, not many.\n',
    )
  })

  it('never empties a folder that is not its own', async () => {
    const foreign = mkdtempSync(join(folder, 'foreign-'))
    writeFileSync(join(foreign, 'valise.sqlite'), 'not made by the demo')
    const { code, said } = await run('serve.js', ['--port', '7803', '--data', foreign, '--reset'])
    expect(code).toBe(1)
    expect(said).toContain('holds other files, not a sample world')
    expect(readFileSync(join(foreign, 'valise.sqlite'), 'utf8')).toBe('not made by the demo')
  })
})

describe('on PostgreSQL', () => {
  // Nobody listens there.
  const env = { VALISE_POSTGRES: 'postgres://valise@127.0.0.1:1/valise' }

  it('the demo says in one line that the database cannot be reached, or cannot be begun anew', async () => {
    const data = join(folder, 'on-postgres')
    expect(await run('serve.js', ['--port', '7803', '--data', data], env)).toEqual({
      code: 1,
      said: expect.stringMatching(
        /^PostgreSQL cannot be reached: .*Check VALISE_POSTGRES, then start again\.\n$/,
      ),
    })
    const world = join(folder, 'world-on-postgres')
    cpSync(process.env['VALISE_TEST_WORLD'] ?? '', world, { recursive: true })
    const anew = await run('serve.js', ['--port', '7803', '--data', world, '--reset'], env)
    expect(anew).toEqual({ code: 1, said: expect.stringContaining('an empty database and an empty folder') })
    expect(existsSync(join(world, 'server.keys'))).toBe(true)
  })

  it('files and keys are saved without the database, and are no backup of a school on SQLite', async () => {
    const world = join(folder, 'saved-on-postgres')
    cpSync(process.env['VALISE_TEST_WORLD'] ?? '', world, { recursive: true })
    const backup = join(folder, 'without-database.zip')
    const saved = await run('backup.js', [backup, '--data', world], env)
    expect(saved).toEqual({ code: 0, said: expect.stringContaining('what pg_dump saved') })
    const target = join(folder, 'restored-on-postgres')
    const refused = await run('restore.js', [backup, '--data', target])
    expect(refused).toEqual({ code: 1, said: expect.stringContaining('it holds no database') })
    expect(await run('restore.js', [backup, '--data', target], env)).toMatchObject({ code: 0 })
    expect(readdirSync(target).sort()).toEqual(['files', 'sample-world.json', 'server.keys'])
  })
})

describe('a school of its own', () => {
  it('is set up once, and has no one-click sign-in', async () => {
    const data = join(folder, 'school')
    const args = ['--school', 'Dune School', '--administrator', 'Ada Quay', '--sign-in', 'ada']
    expect((await run('setUp.js', [], { VALISE_DATA: data })).said).toContain('npm run set-up --')
    const set = await run('setUp.js', args, { VALISE_DATA: data, VALISE_PORT: '7805' })
    expect(set.said).toMatch(/Dune School is set up.*\nhttp:\/\/localhost:7805\/choose-password#\S{43}\n/)
    expect((await run('setUp.js', args, { VALISE_DATA: data })).said).toContain('already has a school')

    const env = { VALISE_DATA: data, VALISE_PORT: '7805', VALISE_LOG: 'silent' }
    const server = await start('main.js', [], 'listens', env)
    const origin = 'http://localhost:7805'
    expect((await fetch(`${origin}/api/school`)).status).toBe(200)
    expect((await fetch(`${origin}/api/demo`)).status).toBe(404)
    const signIn = await fetch(`${origin}/api/demo/session`, {
      method: 'POST',
      headers: { origin, 'content-type': 'application/json' },
      body: JSON.stringify({ personId: 'x' }),
    })
    expect(signIn.status).toBe(404)
    await stop(server)
  })

  it('is built without the sample world', () => {
    // The server's program and every chunk that it loads, followed by name.
    const seen = new Set<string>()
    const follow = (name: string) => {
      if (seen.has(name)) return
      seen.add(name)
      for (const [, next] of readFileSync(join(programs, name), 'utf8').matchAll(/["']\.\/([\w-]+\.js)["']/g))
        follow(next ?? '')
    }
    follow('main.js')
    const code = [...seen].map((name) => readFileSync(join(programs, name), 'utf8')).join('\n')
    expect(code).toContain('/api/session')
    expect(code).not.toContain('/api/demo')
    expect(code).not.toContain('Marram Bay')
  })
})

describe('the data folder', () => {
  const port = 7807
  const origin = `http://localhost:${port}`
  const world = join(folder, 'world')

  const serve = (data: string, ...more: string[]) =>
    start('serve.js', ['--port', String(port), '--data', data, '--quiet', ...more], 'ready', {
      VALISE_CLOCK: '2026-11-26T10:42:00.000Z',
    })

  /** Answers of every shape; each was held against its schema by the tests of the routes. */
  const json = async (answer: Response): Promise<ReturnType<typeof JSON.parse>> =>
    JSON.parse(await answer.text())

  async function signIn(firstName: string): Promise<string> {
    const { people } = await json(await fetch(`${origin}/api/demo`))
    const { id } = people.find((one: { fullName: string }) => one.fullName.startsWith(firstName))
    const answer = await ask('POST', '/api/demo/session', '', { personId: id })
    return answer.headers.getSetCookie()[0]?.split(';')[0] ?? ''
  }

  const ask = (method: string, path: string, cookie: string, body?: object) =>
    fetch(`${origin}${path}`, {
      method,
      headers: { origin, cookie, 'content-type': 'application/json' },
      ...(body && { body: JSON.stringify(body) }),
    })

  const classNames = async (cookie: string): Promise<string[]> => {
    const answer = await ask('GET', '/api/classes', cookie)
    expect(answer.status).toBe(200)
    return (await json(answer)).map(({ name }: { name: string }) => name)
  }

  it('is saved across a second start, backed up while it runs, and restored whole', async () => {
    cpSync(process.env['VALISE_TEST_WORLD'] ?? '', world, { recursive: true })
    let server = await serve(world)
    const mireille = await signIn('Mireille')
    const made = await ask('POST', '/api/classes', mireille, { name: 'Night Herons', code: 'FLD-900' })
    expect(made.status).toBe(201)
    await stop(server)
    server = await serve(world)
    // Still signed in, too.
    expect(await classNames(mireille)).toContain('Night Herons')

    const backup = join(folder, 'backup.zip')
    expect((await run('backup.js', [])).said).toContain('npm run backup -- FILE')
    expect(await run('backup.js', [backup, '--data', world])).toMatchObject({ code: 0 })
    expect((await run('backup.js', [backup, '--data', world])).said).toContain('is there already')

    const broken = join(folder, 'broken.zip')
    writeFileSync(broken, readFileSync(backup).subarray(0, 5000))
    const target = join(folder, 'restored')
    expect(await run('restore.js', [broken, '--data', target])).toMatchObject({
      code: 1,
      said: expect.stringContaining('Nothing was changed'),
    })
    expect(existsSync(target)).toBe(false)
    const damaged = join(folder, 'damaged.zip')
    writeFileSync(damaged, withOneByteChanged(readFileSync(backup), someFileOf(world)))
    expect(await run('restore.js', [damaged, '--data', target])).toMatchObject({
      code: 1,
      said: expect.stringContaining('is damaged'),
    })
    const lacking = join(folder, 'lacking.zip')
    await zipWithout(world, someFileOf(world), lacking)
    expect(await run('restore.js', [lacking, '--data', target])).toMatchObject({
      code: 1,
      said: expect.stringMatching(/1 of its \d+ files are missing/),
    })
    expect(existsSync(target)).toBe(false)
    expect(await run('restore.js', [backup, '--data', target])).toMatchObject({ code: 0 })
    expect((await run('restore.js', [backup, '--data', target])).said).toContain('is not empty')
    expect(readdirSync(target).sort()).toEqual(['files', 'sample-world.json', 'server.keys', 'valise.sqlite'])

    await stop(server)
    server = await serve(target)
    expect(await classNames(mireille)).toContain('Night Herons')
    const wren = await signIn('Wren')
    const { items } = await json(await ask('GET', '/api/evidence?limit=1', wren))
    const picture = await ask('GET', `/api/evidence/${items[0].id}/versions/1/thumbnail`, wren)
    expect(picture.headers.get('content-type')).toBe('image/webp')
    await stop(server)
    server = await serve(target, '--reset')
    expect(await classNames(await signIn('Mireille'))).toHaveLength(3)
    await stop(server)
  }, 240_000)
})
