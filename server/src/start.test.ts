import { chmodSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { createServer } from 'node:net'
import { tmpdir, userInfo } from 'node:os'
import { join } from 'node:path'
import { Hono } from 'hono'
import { createApp } from './app.ts'
import { readConfig } from './config.ts'
import { openKeys } from './system/index.ts'
import { listen, openServices } from './start.ts'

const folder = () => mkdtempSync(join(tmpdir(), 'valise-start-'))

/** Asks over one connection, which the answer must leave open. */
function ask(agent: Agent, port: number, method: string, path: string, body?: string) {
  return new Promise<{ status: number | undefined; text: string; from: number | undefined }>(
    (resolve, reject) => {
      const headers = body === undefined ? {} : { 'content-type': 'application/json' }
      const asked = request({ agent, port, host: '127.0.0.1', method, path, headers }, (answer) => {
        const from = answer.socket.localPort
        let text = ''
        answer.on('data', (chunk) => (text += String(chunk)))
        answer.on('end', () => resolve({ status: answer.statusCode, text, from }))
      })
      asked.on('error', reject)
      asked.end(body)
    },
  )
}

describe('starting', () => {
  it('says in one line that a port is taken', async () => {
    const other = createServer()
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve))
    const address = other.address()
    const port = typeof address === 'object' && address ? address.port : 0
    await expect(listen(new Hono(), { host: '127.0.0.1', port })).rejects.toThrow(`Port ${port} is taken.`)
    await new Promise((resolve) => other.close(resolve))
  })

  it('keeps an idle connection longer than a proxy in front of it does, and lets go of it when it stops', async () => {
    const app = new Hono().get('/', (c) => c.text('there'))
    const server = await listen(app, { host: '127.0.0.1', port: 0 })
    const answer = await fetch(`http://127.0.0.1:${server.port}/`)
    expect(await answer.text()).toBe('there')
    expect(answer.headers.get('keep-alive')).toBe('timeout=75')
    await server.close()
  })

  it('refuses a text that is too long, and goes on with the same connection', async () => {
    const services = await openServices(readConfig({ VALISE_DATA: folder(), VALISE_LOG: 'silent' }), true)
    const server = await listen(createApp(services), { host: '127.0.0.1', port: 0 })
    const agent = new Agent({ keepAlive: true, maxSockets: 1 })
    const long = JSON.stringify({ signInName: 'wren', password: 'x'.repeat(3_000_000) })
    const refused = await ask(agent, server.port, 'POST', '/api/session', long)
    expect([refused.status, JSON.parse(refused.text).code]).toEqual([413, 'too-large'])
    const short = JSON.stringify({ signInName: 'wren', password: 'low water' })
    const next = await ask(agent, server.port, 'POST', '/api/session', short)
    expect([next.status, next.from]).toEqual([401, refused.from])
    agent.destroy()
    await server.close()
    await services.database.close()
  })

  it('says in one line that a folder cannot be written', async () => {
    const file = join(folder(), 'file')
    writeFileSync(file, '')
    const config = readConfig({ VALISE_DATA: join(file, 'below'), VALISE_LOG: 'silent' })
    await expect(openServices(config, false)).rejects.toThrow('The data folder cannot be written')
    if (userInfo().uid !== 0) {
      const closed = folder()
      chmodSync(closed, 0o500)
      await expect(openServices({ ...config, dataFolder: closed }, false)).rejects.toThrow(
        'The data folder cannot be written',
      )
    }
  })

  it('shifts the clock in demo and tests alone', async () => {
    const config = readConfig({
      VALISE_DATA: folder(),
      VALISE_CLOCK: '2026-11-26T10:42:00.000Z',
      VALISE_LOG: 'silent',
    })
    await expect(openServices(config, false)).rejects.toThrow(
      'VALISE_CLOCK works only in the demo and in tests',
    )
    const services = await openServices(config, true)
    expect(services.database.clock.now()).toMatch(/^2026-11-26T10:42:0/)
    await services.database.close()
  })

  it('keeps its keys in a file that others cannot read, the same at each start', () => {
    const data = folder()
    const first = openKeys(data).digest('test', 'text')
    expect(openKeys(data).digest('test', 'text')).toBe(first)
    expect(openKeys(data).digest('other', 'text')).not.toBe(first)
    expect(statSync(join(data, 'server.keys')).mode & 0o777).toBe(0o600)
    expect(readFileSync(join(data, 'server.keys'), 'utf8')).toMatch(/^[0-9a-f]{64}\n$/)
    writeFileSync(join(data, 'server.keys'), 'cut off')
    expect(() => openKeys(data)).toThrow('restore it from a backup')
  })

  it('refuses settings that it cannot use', () => {
    expect(() => readConfig({ VALISE_PORT: 'many' })).toThrow('VALISE_PORT is no port')
    expect(() => readConfig({ VALISE_LOG: 'loud' })).toThrow('VALISE_LOG is')
    expect(readConfig({ VALISE_ADDRESS: 'https://portfolio.example/' }).publicAddress).toBe(
      'https://portfolio.example',
    )
  })
})
