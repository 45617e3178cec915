// Collections with what they reach, passes, what the school allows each year group, and which evidence published pages show.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123150000_create_collections_and_passes'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'collections',
  'collectionItems',
  'reach',
  'passes',
  'sharingAllowances',
  'publishedEvidence',
]

const audiences = ['person', 'assessors', 'class', 'link']

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'collections',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      title: { type: 'text' },
      createdAt: { type: 'text' },
      changedAt: { type: 'text' },
      binnedAt: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      indexes: { collectionsOfOwner: ['ownerId', 'binnedAt', 'changedAt', 'id'] },
    },
  )
  await createTable(
    knex,
    'collectionItems',
    {
      id: { type: 'text' },
      collectionId: { type: 'text', references: 'collections.id', onDelete: 'cascade' },
      position: { type: 'integer' },
      kind: { type: 'text', oneOf: ['page', 'divider', 'collection'] },
      pageId: { type: 'text', nullable: true, references: 'pages.id', onDelete: 'cascade' },
      childId: { type: 'text', nullable: true, references: 'collections.id', onDelete: 'cascade' },
      title: { type: 'text', nullable: true },
      isHidden: { type: 'flag' },
    },
    {
      primaryKey: ['id'],
      unique: [
        ['collectionId', 'pageId'],
        ['collectionId', 'childId'],
      ],
      indexes: {
        itemsOfCollection: ['collectionId', 'position'],
        itemsOfPage: ['pageId'],
        itemsOfChild: ['childId'],
      },
    },
  )
  await createTable(
    knex,
    'reach',
    {
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      containerId: { type: 'text', references: 'collections.id', onDelete: 'cascade' },
      thingId: { type: 'text' },
      // The place that holds the thing, so that a row goes with its place.
      itemId: { type: 'text', references: 'collectionItems.id', onDelete: 'cascade' },
    },
    {
      primaryKey: ['containerId', 'thingId', 'itemId'],
      indexes: {
        reachOfOwner: ['ownerId'],
        reachOfThing: ['thingId', 'containerId'],
        reachOfItem: ['itemId'],
      },
    },
  )
  await createTable(
    knex,
    'passes',
    {
      id: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      // What queries join on: the page or the collection of the two columns below, of which one is filled.
      thingId: { type: 'text' },
      pageId: { type: 'text', nullable: true, references: 'pages.id', onDelete: 'cascade' },
      collectionId: { type: 'text', nullable: true, references: 'collections.id', onDelete: 'cascade' },
      audience: { type: 'text', oneOf: audiences },
      personId: { type: 'text', nullable: true, references: 'people.id', onDelete: 'cascade' },
      classId: { type: 'text', nullable: true, references: 'classes.id' },
      linkName: { type: 'text', nullable: true },
      // Of a link: raised for a new address, which shuts the one before.
      generation: { type: 'integer' },
      mayComment: { type: 'flag' },
      mayCopy: { type: 'flag' },
      // The instants decide; the days are the words they were given in, in the zone of the school.
      fromAt: { type: 'text' },
      untilAt: { type: 'text', nullable: true },
      firstDay: { type: 'text', nullable: true },
      lastDay: { type: 'text', nullable: true },
      endedAt: { type: 'text', nullable: true },
      createdAt: { type: 'text' },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      indexes: {
        passesOfOwner: ['ownerId', 'thingId'],
        passesOnThing: ['thingId', 'audience'],
        passesOnPage: ['pageId'],
        passesOnCollection: ['collectionId'],
        passesForPerson: ['personId'],
        passesForClass: ['classId', 'audience'],
      },
    },
  )
  await createTable(
    knex,
    'sharingAllowances',
    {
      yearGroupId: { type: 'text', references: 'yearGroups.id', onDelete: 'cascade' },
      audience: { type: 'text', oneOf: audiences },
    },
    { primaryKey: ['yearGroupId', 'audience'] },
  )
  await createTable(
    knex,
    'publishedEvidence',
    {
      pageId: { type: 'text', references: 'pages.id', onDelete: 'cascade' },
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
    },
    { primaryKey: ['pageId', 'evidenceId'], indexes: { publishedPagesByEvidence: ['evidenceId'] } },
  )
  await allowTheUsual(knex)
  await noteWhatIsShown(knex)
}

/** Schools that were set up before there were rules: the youngest open things to class and assessors only. */
async function allowTheUsual(knex: Knex): Promise<void> {
  const yearGroups: { id: string }[] = await knex('yearGroups').orderBy(['position', 'id']).select('id')
  for (const [at, { id }] of yearGroups.entries()) {
    const allowed = at === 0 ? ['assessors', 'class'] : audiences
    await knex('sharingAllowances').insert(allowed.map((audience) => ({ yearGroupId: id, audience })))
  }
}

async function noteWhatIsShown(knex: Knex): Promise<void> {
  const pages: { id: string; shown: string }[] = await knex('pages')
    .join('publishedPages', (join) =>
      join.on('publishedPages.pageId', 'pages.id').andOn('publishedPages.n', 'pages.published'),
    )
    .select('pages.id', 'publishedPages.shown')
  const kept = new Set((await knex('evidence').select('id')).map(({ id }: { id: string }) => id))
  for (const { id, shown } of pages) {
    const evidence: Record<string, { id: string }> = JSON.parse(shown).evidence
    const ids = [...new Set(Object.values(evidence).map((item) => item.id))].filter((one) => kept.has(one))
    if (ids.length > 0)
      await knex('publishedEvidence').insert(ids.map((evidenceId) => ({ pageId: id, evidenceId })))
  }
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, [
    'publishedEvidence',
    'sharingAllowances',
    'passes',
    'reach',
    'collectionItems',
    'collections',
  ])
}
