// One-click sign-in for the people of the sample world.
import { ownerActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { mySessionSchema } from '@valise/core/people'
import { listPasses, listPresentPeople, routesWith, startSession } from '@valise/server'
import type { Config, Route, Services } from '@valise/server'
import { idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { cast } from './cast.ts'
import type { CastMember } from './cast.ts'
import { readSampleState } from './sampleFolder.ts'

const demoSchema = object({
  people: Type.Array(
    object({
      id: idSchema,
      fullName: Type.String(),
      about: Type.String(),
      kind: Type.Enum(['student', 'staff']),
      first: Type.Boolean({ description: 'Whether the person plays a part of their own' }),
    }),
  ),
  visitor: Type.Union(
    [
      object({ name: Type.String(), address: Type.String({ description: 'The path of a visitor link' }) }),
      Type.Null(),
    ],
    { description: 'Somebody without an account, and the link that was given to them' },
  ),
  mailRoom: Type.Union([Type.String(), Type.Null()], {
    description: 'Where the simulated mail can be read',
  }),
})

const { route } = routesWith<Services>()

const VISITOR = 'Aunt Pilar'

const loopback = ['127.0.0.1', 'localhost', '::1']

/**
 * Returns the routes of the one-click sign-in: none unless the demo made the data folder and the server can only be
 * reached from its own machine.
 */
export function demoRoutes(
  config: Pick<Config, 'dataFolder' | 'host'>,
  mailRoom: string | null,
): Route<Services>[] {
  if (readSampleState(config.dataFolder) !== 'built' || !loopback.includes(config.host)) return []
  return [
    route(
      {
        method: 'get',
        path: '/api/demo',
        summary: 'The people of the sample world',
        who: 'anyone',
        answer: demoSchema,
      },
      async ({ services, reader }) => {
        const people = await listPresentPeople(reader)
        const visitor = await findVisitor(services, reader, people)
        return { people: [...people].sort(inCastOrder).map(toDemoPerson), visitor, mailRoom }
      },
    ),
    route(
      {
        method: 'post',
        path: '/api/demo/session',
        summary: 'Sign in as a person of the sample world',
        who: 'anyone',
        body: object({ personId: idSchema }),
        answer: mySessionSchema,
        status: 201,
      },
      async ({ services, reader, client, body }) => {
        const people = await listPresentPeople(reader)
        if (!people.some(({ id }) => id === body.personId)) throw new AppError('not-found', 'not-found')
        return startSession(services, client, body.personId)
      },
    ),
  ]
}

/** Aunt Pilar has no account; the link that Wren gave her is a door of its own. */
async function findVisitor(
  { keys }: Pick<Services, 'keys'>,
  reader: Parameters<typeof listPasses>[0],
  people: readonly PresentPerson[],
): Promise<{ name: string; address: string } | null> {
  const wren = people.find(({ signInName }) => signInName === cast.wren.signInName)
  if (!wren) return null
  const passes = await listPasses(reader, keys, ownerActor(wren.id))
  const link = passes.find(({ audience, state }) => audience.name === VISITOR && state === 'running')
  return link?.address ? { name: VISITOR, address: link.address } : null
}

interface PresentPerson {
  readonly id: string
  readonly fullName: string
  readonly signInName: string
  readonly yearGroup: string | null
}

const order = Object.values<CastMember>(cast).map(({ signInName }) => signInName)

function toDemoPerson({ id, fullName, signInName, yearGroup }: PresentPerson) {
  const castMember = Object.values<CastMember>(cast).find((member) => member.signInName === signInName)
  const kind: 'student' | 'staff' = yearGroup === null ? 'staff' : 'student'
  return {
    id,
    fullName,
    about: castMember?.about ?? yearGroup ?? 'Staff',
    kind,
    first: castMember !== undefined,
  }
}

/** People with a part first, in the order of the cast; then everybody else by name, as they came. */
function inCastOrder(a: PresentPerson, b: PresentPerson): number {
  const placeOf = (person: PresentPerson) => {
    const place = order.indexOf(person.signInName)
    return place === -1 ? order.length : place
  }
  return placeOf(a) - placeOf(b)
}
