// Whom somebody may open things to: the classes they are in now, and the people there. And how many can see a thing.
import { audienceDefinitionOf, audienceKinds } from '@valise/core/access'
import type { Audiences, SeenBy } from '@valise/core/access'
import { isAssessorRole, resolveShownName } from '@valise/core/people'
import type { ClassRole, PersonActor, ShownNameRule } from '@valise/core/people'
import type { Knex } from 'knex'
import { countRows, isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { peopleNow } from '../people/index.ts'
import { ownThings } from '../things/index.ts'
import type { PassTarget } from './audiences/AudienceStore.ts'
import { audienceStoreOf } from './audiences/audienceStores.ts'
import { presentMembers } from './presentMembersStore.ts'
import { narrowToShown } from './shared/sharedThingStore.ts'
import { openPassesAtAll } from './scopeStore.ts'

/** Lists the other members of one's current classes, by shown name. */
export async function listAudiences(
  reader: Reader,
  actor: PersonActor,
): Promise<Pick<Audiences, 'classes' | 'people'>> {
  const classIds = actor.memberships.map(({ classId }) => classId)
  const rows: MemberRow[] = await peopleNow(reader)
    .join(
      presentMembers(reader)
        .modify(isOneOf, 'classId', classIds)
        .select('personId', 'classId', 'role')
        .as('member'),
      'member.personId',
      'people.id',
    )
    .join('classes', 'classes.id', 'member.classId')
    .whereNull('people.endedAt')
    .whereNot('people.id', actor.personId)
    .orderBy(['classes.sortName', 'people.sortName', 'people.id'])
    .select('people.id', 'people.fullName', 'people.firstName', 'people.chosenName')
    .select('yearGroup.shownNameRule', 'member.classId', 'member.role', 'classes.name as className')
  const named = rows.map((row) => ({ ...row, name: resolveShownName(row, row.shownNameRule) }))
  const names = new Map(await listClassNames(reader, classIds))
  return {
    classes: [...names].map(([id, name]) => {
      const members = named.filter((row) => row.classId === id)
      const assessors = members.filter(({ role }) => isAssessorRole(role))
      return {
        id,
        name,
        people: new Set(members.map((member) => member.id)).size,
        assessors: assessors.map((one) => ({ id: one.id, name: one.name })),
      }
    }),
    people: named
      .filter(({ id }, at) => named.findIndex((row) => row.id === id) === at)
      .map(({ id, name, role, className }) => ({ id, name, isAssessor: isAssessorRole(role), className })),
  }
}

async function listClassNames(reader: Reader, ids: readonly string[]): Promise<[string, string][]> {
  const rows: { id: string; name: string }[] = await reader
    .sql('classes')
    .modify(isOneOf, 'id', ids)
    .orderBy(['sortName', 'id'])
    .select('id', 'name')
  return rows.map(({ id, name }) => [id, name])
}

/** Counts who can see one's own thing now, by itself or on published pages that show it. */
export async function countSeers(reader: Reader, actor: PersonActor, thingId: string): Promise<SeenBy> {
  const { sql } = reader
  const pages = sql('publishedEvidence').where({ evidenceId: thingId }).select('pageId')
  const shown = ownThings(reader, actor)
    .where((any) => any.where('things.id', thingId).orWhereIn('things.id', pages))
    .modify(narrowToShown)
    .select('things.id')
  const open = openPassesAtAll(reader)
    .where('passes.ownerId', actor.personId)
    .where((any) =>
      any
        .whereIn('passes.thingId', shown.clone())
        .orWhereIn('passes.thingId', sql('reach').whereIn('thingId', shown.clone()).select('containerId')),
    )
  const passes: PassTarget[] = await open.select('audience', 'personId', 'classId')
  const members = audienceKinds.flatMap((kind) => {
    const some = passes.filter(({ audience }) => audience === kind)
    return some.length === 0 ? [] : (audienceStoreOf(kind).members(reader, some) ?? [])
  })
  return {
    people: members.length === 0 ? 0 : await countPeopleIn(reader, actor, members),
    links: passes.filter(({ audience }) => audienceDefinitionOf(audience).hasAddress).length,
  }
}

/** Counts the other people whom any of these queries selects. */
function countPeopleIn(
  { sql }: Reader,
  { personId }: PersonActor,
  members: readonly Knex.QueryBuilder[],
): Promise<number> {
  const others = sql('people')
    .whereNull('endedAt')
    .whereNot('id', personId)
    .where((any) => members.forEach((some) => void any.orWhereIn('id', some)))
  return countRows(others)
}

/** Selects one's own items that somebody else can see now, on published pages that open passes reach. */
export function sharedEvidence(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  const { sql } = reader
  const open = openPassesAtAll(reader).where('passes.ownerId', actor.personId)
  const opened = open.clone().select('passes.thingId')
  const inCollections = open
    .join('collections', 'collections.id', 'passes.thingId')
    .where('collections.isBinned', 0)
    .join('reach', 'reach.containerId', 'collections.id')
    .select('reach.thingId')
  return sql('publishedEvidence')
    .join('pages', 'pages.id', 'publishedEvidence.pageId')
    .where({ 'pages.ownerId': actor.personId, 'pages.isBinned': 0 })
    .whereNotNull('pages.published')
    .where((any) => any.whereIn('pages.id', opened).orWhereIn('pages.id', inCollections))
    .select('publishedEvidence.evidenceId')
}

interface MemberRow {
  readonly id: string
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
  readonly classId: string
  readonly role: ClassRole
  readonly className: string
}
