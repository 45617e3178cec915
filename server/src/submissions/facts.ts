// Loading what requirements are computed from: each fact in as many queries for many assignments as for one.
import { factsNeeded, itemsGoing, noFacts } from '@valise/core/assignments'
import type { FactName, Facts, GoingPart, Requirement } from '@valise/core/assignments'
import type { PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { listPresentDrafts } from '../drafts/index.ts'
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
  const items = await listItems(reader, actor, idsGoing(parts))
  return new Map(items.map(({ id, statement }) => [id, statement]))
}

/** What is said about every item that goes in, as it was written; without those that are said in plain words. */
export async function loadStatementDocuments(
  reader: Reader,
  actor: PersonActor,
  parts: readonly GoingPart[],
): Promise<ReadonlyMap<string, PageDocument>> {
  const drafts = await listPresentDrafts(reader, actor, idsGoing(parts))
  return new Map(drafts.map(({ id, document }) => [id, document]))
}

function idsGoing(parts: readonly GoingPart[]): string[] {
  return [...new Set(itemsGoing({ parts }).map(({ id }) => id))]
}
