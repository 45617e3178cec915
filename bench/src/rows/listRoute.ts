// A list route with session and access, against all its statements prepared plus JSON, on the same file.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { personNamed, systemActor } from '@valise/core/people'
import type { ClassRole } from '@valise/core/people'
import {
  createApp,
  createClass,
  createMembership,
  createPerson,
  databaseFile,
  inTransaction,
  openServices,
  readConfig,
  savePassword,
  setUpSchool,
  usualYearGroups,
} from '@valise/server'
import type { Services } from '@valise/server'
import Database from 'better-sqlite3'
import { compare, timed } from '../compare.ts'
import type { Row } from '../compare.ts'

const PEOPLE = 2000
const ROUNDS = 40
const PATH = '/api/people?limit=50'
const PASSWORD = 'low water at seven'
const actor = systemActor('bench')

export async function listRoute(): Promise<Row> {
  const dataFolder = mkdtempSync(join(tmpdir(), 'valise-bench-'))
  const config = readConfig({ VALISE_DATA: dataFolder, VALISE_LOG: 'silent' })
  const services = await openServices(config, false)
  try {
    await fill(services)
    const app = createApp(services)
    const cookie = await signIn(app)
    const prepared = prepareByHand(databaseFile(config))
    const expected = await (await app.request(PATH, { headers: { cookie } })).text()
    const byHand = JSON.stringify(prepared.list())
    if (byHand !== expected) throw new Error('the reference does not answer what the route answers')
    return await compare({
      name: 'list of people with session and access',
      limit: 4,
      unit: 'ms per answer',
      ours: () =>
        timed(ROUNDS, async () => void (await (await app.request(PATH, { headers: { cookie } })).text())),
      reference: () => timed(ROUNDS, async () => void JSON.stringify(prepared.list())),
    })
  } finally {
    await services.database.close()
    rmSync(dataFolder, { recursive: true })
  }

  async function signIn(app: ReturnType<typeof createApp>): Promise<string> {
    const response = await app.request('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ signInName: 'lead', password: PASSWORD }),
    })
    if (response.status !== 201) throw new Error(`signing in answered ${response.status}`)
    return response.headers.get('set-cookie')?.split(';')[0] ?? ''
  }
}

async function fill(services: Services): Promise<void> {
  const hash = await services.passwords.hash(PASSWORD)
  await inTransaction(services.database, async (trx) => {
    const { administratorId, yearGroupIds } = await setUpSchool(trx, {
      school: { name: 'Bench School', timeZone: 'Europe/Lisbon', language: 'en' },
      yearGroups: usualYearGroups,
      administrator: personNamed('Lead Person', { administrator: true }),
    })
    await savePassword(trx, administratorId, hash)
    const classIds: string[] = []
    for (let n = 0; n < 60; n += 1) {
      classIds.push((await createClass(trx, actor, { name: `Class ${n}`, code: `C-${n}` })).id)
    }
    const groups = [...yearGroupIds.values()]
    for (let n = 0; n < PEOPLE; n += 1) {
      const yearGroupId = groups[n % groups.length] ?? null
      const { person } = await createPerson(
        trx,
        actor,
        personNamed(`Person ${n} Surname`, { signInName: `p${n}`, yearGroupId }),
      )
      const role: ClassRole = n % 20 === 0 ? 'assessor' : 'student'
      for (const classId of [classIds[n % 60], classIds[(n * 7 + 1) % 60]]) {
        if (classId)
          await createMembership(trx, actor, person.id, {
            classId,
            role,
            firstDay: '2026-01-01',
            lastDay: null,
          })
      }
    }
  })
}

/** Every statement of the route, written by hand and prepared once: session, classes of the actor, page, count, memberships. */
function prepareByHand(file: string) {
  const db = new Database(file, { readonly: true })
  const session =
    db.prepare(`SELECT s.id, s.personId, p.administrator FROM sessions s JOIN people p ON p.id = s.personId
    WHERE s.endsAt > ? AND p.endedAt IS NULL LIMIT 1`)
  const present = `(m.fromAt IS NULL OR m.fromAt <= ?) AND (m.untilAt IS NULL OR m.untilAt > ?)`
  const mine = db.prepare(`SELECT m.classId, m.role FROM memberships m JOIN classes c ON c.id = m.classId
    WHERE m.personId = ? AND c.endedAt IS NULL AND ${present}`)
  const from = `FROM people p LEFT JOIN yearGroupStays y ON y.personId = p.id AND y.fromAt <= ? AND (y.untilAt IS NULL OR y.untilAt > ?)
    LEFT JOIN yearGroups g ON g.id = y.yearGroupId`
  const page =
    db.prepare(`SELECT p.id, p.fullName, p.firstName, p.chosenName, p.sortName, p.signInName, p.administrator, p.endedAt, p.revision,
    g.id AS yearGroupId, g.shownNameRule, w.hash ${from} LEFT JOIN passwords w ON w.personId = p.id
    WHERE p.endedAt IS NULL ORDER BY p.sortName, p.id LIMIT 51`)
  const count = db.prepare(`SELECT count(*) AS n ${from} WHERE p.endedAt IS NULL`)
  const theirs =
    db.prepare(`SELECT m.personId, m.id, m.classId, c.name AS className, m.role FROM memberships m JOIN classes c ON c.id = m.classId
    WHERE m.personId IN (SELECT value FROM json_each(?)) AND c.endedAt IS NULL AND ${present} ORDER BY c.sortName, m.id`)

  type Fields = Record<string, string | number | null>
  function list() {
    const now = new Date().toISOString()
    const actor = session.get(now) as Fields
    mine.all(actor['personId'], now, now)
    const rows = (page.all(now, now) as Fields[]).slice(0, 50)
    const total = count.get(now, now) as Fields
    const byPerson = new Map<unknown, unknown[]>()
    const ids = JSON.stringify(rows.map((row) => row['id']))
    for (const { personId, ...membership } of theirs.all(ids, now, now) as Fields[]) {
      const list = byPerson.get(personId)
      if (list) list.push(membership)
      else byPerson.set(personId, [membership])
    }
    const items = rows.map((row) => ({
      id: row['id'],
      fullName: row['fullName'],
      shownName: row['shownNameRule'] === 'first' ? row['firstName'] : row['fullName'],
      signInName: row['signInName'],
      administrator: row['administrator'] === 1,
      yearGroupId: row['yearGroupId'],
      endedAt: row['endedAt'],
      hasPassword: row['hash'] !== null,
      revision: row['revision'],
      memberships: byPerson.get(row['id']) ?? [],
    }))
    const last = rows.at(-1)
    const next = Buffer.from(JSON.stringify([last?.['sortName'], last?.['id']])).toString('base64url')
    return { items, next, count: total['n'] }
  }
  return { list }
}
