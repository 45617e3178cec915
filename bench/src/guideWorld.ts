// The guide of the sample world that is handed in when due, with a class of any size at work in it.
import type Database from 'better-sqlite3'
import { firstRow, idOf, insertCopies } from './sampleWorld.ts'
import type { Row } from './sampleWorld.ts'

export interface GuideOfClass {
  readonly guideId: string
  readonly classId: string
  readonly assignmentId: string
}

export function guideOf(database: Database.Database): GuideOfClass {
  const copy = firstRow(
    database,
    "SELECT guideId, classId FROM guideCopies WHERE reading = 'sealed' ORDER BY id",
  )
  const [guideId, classId] = [String(copy['guideId']), String(copy['classId'])]
  const { id } = firstRow(
    database,
    'SELECT id FROM assignments WHERE guideId = ? AND classId = ?',
    ...[guideId, classId],
  )
  return { guideId, classId, assignmentId: String(id) }
}

export interface TakingOver {
  readonly students: number
  /** Without it the guide keeps its own. */
  readonly stages?: number
}

/** Makes so many new people the students of its class, each with a copy that is as far as the furthest of the sample world. */
export function takeOver(
  database: Database.Database,
  { guideId, classId, assignmentId }: GuideOfClass,
  { students, stages }: TakingOver,
): void {
  const copy = firstRow(
    database,
    `SELECT guideCopies.* FROM guideCopies JOIN drafts ON drafts.id = guideCopies.id
     WHERE guideId = ? ORDER BY length(checkpoint) DESC`,
    guideId,
  )
  const rowOf = (table: string): Row =>
    firstRow(database, `SELECT * FROM ${table} WHERE id = ?`, String(copy['id']))
  const person = firstRow(database, 'SELECT * FROM people WHERE id = ?', String(copy['ownerId']))
  const student = firstRow(
    database,
    "SELECT * FROM memberships WHERE role = 'student' AND classId = ?",
    classId,
  )
  const stage = firstRow(database, 'SELECT * FROM guideStages WHERE copyId = ?', String(copy['id']))
  const parts = database
    .prepare(
      'SELECT * FROM chosenParts WHERE choiceId IN (SELECT id FROM partChoices WHERE assignmentId = ? AND ownerId = ?)',
    )
    .all(assignmentId, String(copy['ownerId'])) as Row[]
  const choice = firstRow(
    database,
    'SELECT * FROM partChoices WHERE assignmentId = ? AND ownerId = ?',
    ...[assignmentId, String(copy['ownerId'])],
  )
  const edits = database
    .prepare('SELECT * FROM draftEdits WHERE draftId = ?')
    .all(String(copy['id'])) as Row[]
  const ids = stages === undefined ? [] : setStages(database, guideId, stages)
  const [owner, own] = [(n: number) => idOf('0001', n), (n: number) => idOf('0007', n)]
  database.prepare("DELETE FROM memberships WHERE role = 'student' AND classId = ?").run(classId)
  insertCopies(database, 'people', person, students, (n) => ({
    ...{
      id: owner(n),
      signInName: `person-${n}`,
      signInKey: `person-${n}`,
      sortName: `zz ${n}`,
      email: null,
    },
  }))
  insertCopies(database, 'memberships', student, students, (n) => ({
    id: idOf('0008', n),
    personId: owner(n),
  }))
  const ofOwner = (n: number) => ({ id: own(n), ownerId: owner(n) })
  insertCopies(database, 'things', { ...rowOf('things'), isBinned: 0, binnedAt: null }, students, ofOwner)
  insertCopies(database, 'drafts', rowOf('drafts'), students, (n) => ({ id: own(n) }))
  insertCopies(database, 'guideCopies', copy, students, ofOwner)
  for (let n = 0; n < students; n += 1) {
    insertCopies(database, 'guideStages', stage, ids.length, (at) => ({
      copyId: own(n),
      stageId: ids[at] ?? '',
    }))
    for (const edit of edits)
      insertCopies(database, 'draftEdits', edit, 1, () => ({ draftId: own(n), personId: owner(n) }))
  }
  insertCopies(database, 'partChoices', choice, students, (n) => ({ id: idOf('0009', n), ownerId: owner(n) }))
  for (const part of parts.slice(0, 1))
    insertCopies(database, 'chosenParts', part, students, (n) => ({
      choiceId: idOf('0009', n),
      thingId: own(n),
    }))
}

/** Gives every version of a guide so many stages; returns their ids. */
function setStages(database: Database.Database, guideId: string, count: number): string[] {
  const ids = Array.from({ length: count }, (_, n) => `stage-${n}`)
  const versions = database.prepare('SELECT * FROM offeredVersions WHERE offeredId = ?').all(guideId) as Row[]
  for (const { n, content } of versions) {
    const guide = JSON.parse(String(content))
    const stages = ids.map((id, at) => ({ ...guide.stages[at % guide.stages.length], id }))
    database
      .prepare('UPDATE offeredVersions SET content = ? WHERE offeredId = ? AND n = ?')
      .run(JSON.stringify({ ...guide, stages }), guideId, n)
  }
  return ids
}
