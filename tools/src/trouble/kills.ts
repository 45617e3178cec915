// The server is killed again and again while people write: what it had taken is there, and nothing of it lives on.
import { newTextPiece, textOf } from '@valise/core/pages'
import { finding } from './trial.ts'
import type { Trial } from './trial.ts'
import { isAlive, pause, processTree, TroubledServer } from './TroubledServer.ts'
import type { Caller } from './TroubledServer.ts'
import { v7 as uuidv7 } from 'uuid'

const KILLS = 12
const WRITERS = ['Wren', 'Tomasz', 'Ines']

interface Taken {
  readonly words: Set<string>
  readonly items: Set<string>
}

export const kills: Trial = {
  name: 'Kills',
  run: async () => {
    const server = new TroubledServer()
    const taken = new Map<string, Taken>(WRITERS.map((who) => [who, { words: new Set(), items: new Set() }]))
    const pages = new Map<string, string>()
    let survivors = 0
    for (let n = 0; n < KILLS; n += 1) {
      await server.start()
      const callers = await Promise.all(WRITERS.map((who) => server.signIn(who)))
      for (const [at, who] of WRITERS.entries()) {
        const caller = callers[at]
        if (!caller) continue
        if (!pages.has(who)) {
          const { body } = await caller.ask('POST', '/api/pages', { title: `Trouble of ${who}`, lang: 'en' })
          pages.set(who, body.id)
        }
      }
      const writing = WRITERS.map((who, at) => write(callers[at], pages.get(who) ?? '', taken.get(who)))
      await pause(600 + ((n * 173) % 900))
      const tree = processTree(server.pid)
      await server.end('SIGKILL')
      await Promise.all(writing)
      survivors += await survivorsOf(tree)
    }
    await server.start()
    let lost = 0
    let all = 0
    for (const who of WRITERS) {
      const caller = await server.signIn(who)
      const { words, items } = taken.get(who) ?? { words: [], items: [] }
      const text = JSON.stringify((await caller.ask('GET', `/api/pages/${pages.get(who)}`)).body)
      for (const word of words) lost += text.includes(word) ? 0 : 1
      for (const id of items) lost += (await caller.ask('GET', `/api/evidence/${id}`)).status === 200 ? 0 : 1
      all += [...words].length + [...items].length
    }
    await server.end('SIGTERM')
    server.remove()
    return [
      finding(`lost of ${all} answers, after ${KILLS} kills`, lost, '0', lost === 0 && all > KILLS),
      finding('processes that outlived the server', survivors, '0', survivors === 0),
    ]
  },
}

/** Counts the processes that are alive after five seconds: a busy machine takes its time to end them. */
async function survivorsOf(tree: readonly number[]): Promise<number> {
  for (let n = 0; n < 50 && tree.some(isAlive); n += 1) await pause(100)
  return tree.filter(isAlive).length
}

/** Adds rows and files as fast as they are taken, until the server is gone. */
async function write(caller: Caller | undefined, pageId: string, taken: Taken | undefined): Promise<void> {
  try {
    for (let n = 0; caller && taken; n += 1) {
      const { draft } = (await caller.ask('GET', `/api/pages/${pageId}`)).body
      const word = `word-${uuidv7()}`
      const piece = newTextPiece(uuidv7(), textOf(word))
      const operations = [{ op: 'insert-row', row: { id: uuidv7(), pieces: [piece] }, after: null }]
      const edit = { base: draft.revision, editId: uuidv7(), windowId: uuidv7(), operations }
      if ((await caller.ask('POST', `/api/pages/${pageId}/edits`, edit)).status === 200) taken.words.add(word)
      if (n % 5 === 0) taken.items.add(await caller.upload(`${word}.txt`, Buffer.from(word)))
    }
  } catch {
    // The server was killed in the middle: only what it had answered counts.
  }
}
