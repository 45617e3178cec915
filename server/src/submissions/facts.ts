// Loading what requirements are computed from: each fact in as many queries for many assignments as for one.
import { factsNeeded, itemsGoing, noFacts } from '@valise/core/assignments'
import type { FactName, Facts, GoingPart, Requirement } from '@valise/core/assignments'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { listItems } from './choiceStore.ts'

type LoadFact<N extends FactName> = (
  reader: Reader,
  actor: PersonActor,
  parts: readonly GoingPart[],
) => Promise<Facts[N]>

/** How each fact is loaded. */
const loaders: { readonly [N in FactName]: LoadFact<N> } = { statements: loadStatements }

/** Loads whatever any of the requirements needs to know about these parts; the rest stays empty. */
export async function loadFacts(
  reader: Reader,
  actor: PersonActor,
  parts: readonly GoingPart[],
  requirements: readonly Requirement[],
): Promise<Facts> {
  const loaded: Partial<Record<FactName, Facts[FactName]>> = {}
  for (const name of factsNeeded(requirements)) loaded[name] = await loaders[name](reader, actor, parts)
  return { ...noFacts, ...loaded, parts }
}

/** The words about every item that goes in. */
export async function loadStatements(
  reader: Reader,
  actor: PersonActor,
  parts: readonly GoingPart[],
): Promise<Facts['statements']> {
  const ids = itemsGoing({ parts }).map(({ id }) => id)
  const items = await listItems(reader, actor, [...new Set(ids)])
  return new Map(items.map(({ id, statement }) => [id, statement]))
}
