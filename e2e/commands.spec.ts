// The commands as somebody types them: the demo's options and its refusals, set-up, backup and restore.
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test, useSite } from './support/site.ts'

const programs = fileURLToPath(new URL('../server/dist', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'valise-commands-'))
test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** Runs a program to its end. */
function run(program: string, args: string[], env: Record<string, string> = {}) {
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

test.describe('the demo', () => {
  test('says in one line what stands in its way', async () => {
    const other = createServer()
    await new Promise<void>((resolve) => other.listen(7801, '127.0.0.1', resolve))
    const data = join(folder, 'taken')
    const taken = await run('serve.js', ['--port', '7801', '--data', data])
    expect(taken).toEqual({
      code: 1,
      said: expect.stringMatching(/^Port 7801 is taken\. .*--port.*\n$/),
    })
    expect(existsSync(data)).toBe(false)
    const beside = await run('serve.js', ['--port', '7800', '--data', data])
    expect(beside).toEqual({ code: 1, said: expect.stringMatching(/^Port 7801 is taken\./) })
    await new Promise((resolve) => other.close(resolve))

    const file = join(folder, 'file')
    writeFileSync(file, 'mine')
    const closed = await run('serve.js', ['--port', '7803', '--data', join(file, 'below')])
    expect(closed.code).toBe(1)
    expect(closed.said).toContain('The data folder cannot be written')

    expect((await run('serve.js', ['--port', 'many'])).said).toBe(
      '--port takes a number up to 65533, not many.\n',
    )
  })

  test('never empties a folder that is not its own', async () => {
    const foreign = mkdtempSync(join(folder, 'foreign-'))
    writeFileSync(join(foreign, 'valise.sqlite'), 'not made by the demo')
    const { code, said } = await run('serve.js', ['--port', '7803', '--data', foreign, '--reset'])
    expect(code).toBe(1)
    expect(said).toContain('holds something that is no sample world')
    expect(readFileSync(join(foreign, 'valise.sqlite'), 'utf8')).toBe('not made by the demo')
  })
})

test.describe('a school of its own', () => {
  test('is set up once, and has no one-click sign-in', async ({ request }) => {
    const data = join(folder, 'school')
    const args = ['--school', 'Dune School', '--administrator', 'Ada Quay', '--sign-in', 'ada']
    expect((await run('setUp.js', [], { VALISE_DATA: data })).said).toContain('npm run set-up --')
    const set = await run('setUp.js', args, { VALISE_DATA: data, VALISE_PORT: '7805' })
    expect(set.said).toMatch(/Dune School is set up.*\nhttp:\/\/localhost:7805\/choose-password#\S{43}\n/)
    expect((await run('setUp.js', args, { VALISE_DATA: data })).said).toContain('holds a school already')

    const env = { ...process.env, VALISE_DATA: data, VALISE_PORT: '7805', VALISE_LOG: 'silent' }
    const server = spawn(process.execPath, [join(programs, 'main.js')], { env })
    await new Promise<void>((resolve) =>
      server.stdout.on('data', (text: Buffer) => text.includes('listens') && resolve()),
    )
    try {
      expect((await request.get('http://localhost:7805/api/school')).ok()).toBe(true)
      expect((await request.get('http://localhost:7805/api/demo')).status()).toBe(404)
      const signIn = await request.post('http://localhost:7805/api/demo/session', { data: { personId: 'x' } })
      expect(signIn.status()).toBe(404)
    } finally {
      server.kill()
    }
  })

  test('is built without the sample world', () => {
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

test.describe('the data folder', () => {
  const site = useSite()

  test('is kept by a second start, backed up while it runs, and brought back whole', async ({ browser }) => {
    const page = await site.pageAs(browser, 'Mireille')
    await page.goto('/classes')
    await page.getByRole('button', { name: 'Add a class' }).click()
    await page.getByLabel('Name').fill('Night Herons')
    await page.getByLabel('Course code').fill('FLD-900')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByRole('link', { name: 'Night Herons' })).toBeVisible()
    await site.stop()
    await site.start()
    await page.reload()
    await expect(page.getByRole('link', { name: 'Night Herons' })).toBeVisible() // still signed in, too

    const backup = join(folder, 'backup.zip')
    expect((await run('backup.js', [])).said).toContain('npm run backup -- FILE')
    expect(await run('backup.js', [backup, '--data', site.dataFolder])).toMatchObject({ code: 0 })
    expect((await run('backup.js', [backup, '--data', site.dataFolder])).said).toContain('is there already')

    const broken = join(folder, 'broken.zip')
    writeFileSync(broken, readFileSync(backup).subarray(0, 5000))
    const target = join(folder, 'restored')
    expect(await run('restore.js', [broken, '--data', target])).toMatchObject({
      code: 1,
      said: expect.stringContaining('Nothing was changed'),
    })
    expect(existsSync(target)).toBe(false)
    expect(await run('restore.js', [backup, '--data', target])).toMatchObject({ code: 0 })
    expect((await run('restore.js', [backup, '--data', target])).said).toContain('is not empty')
    expect(readdirSync(target).sort()).toEqual(['files', 'sample-world.json', 'server.keys', 'valise.sqlite'])

    await site.stop()
    await site.start({ data: target })
    await page.reload()
    await expect(page.getByRole('link', { name: 'Night Herons' })).toBeVisible()
    const wren = await site.pageAs(browser, 'Wren')
    const { items } = await (await wren.request.get('/api/evidence?limit=1')).json()
    const picture = await wren.request.get(`/api/evidence/${items[0].id}/versions/1/thumbnail`)
    expect(picture.headers()['content-type']).toBe('image/webp')
    await site.stop()
    await site.start({ args: ['--reset'] })
    const fresh = await site.pageAs(browser, 'Mireille')
    await fresh.goto('/classes')
    await expect(fresh.getByRole('heading', { level: 1 })).toHaveText('The school has 3 classes')
  })
})
