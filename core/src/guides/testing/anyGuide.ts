// Random guides for tests.
import fc from 'fast-check'
import { fieldKinds, fieldOf, textOf } from '../../pages/index.ts'
import type { Question } from '../../pages/index.ts'
import { newInstruction, stageOpenings } from '../index.ts'
import type { Block, GuideContent, Stage } from '../index.ts'

const NEXT: Readonly<Record<string, string>> = { en: 'Wade in at low water.' }

/** A block by its number: the same number is always the same block, so that two guides share some. */
function block(n: number): Block {
  if (n % 5 === 0) return { ...newInstruction(`b${n}`), text: { en: textOf(NEXT['en'] ?? '') } }
  const kind = fieldKinds[n % fieldKinds.length] ?? 'long'
  const question = fieldOf({ kind }).create(`b${n}`) as Question
  return { ...question, asks: { en: `Question ${n}?` }, weight: n % 2 === 0 ? 'must' : 'should' }
}

function stage(n: number, blocks: Block[]): fc.Arbitrary<Stage> {
  return fc
    .tuple(
      fc.constantFrom(...stageOpenings),
      fc.constantFrom('2026-11-01T08:00', '2026-11-10T08:00'),
      fc.constantFrom(null, '2026-11-20T17:00'),
    )
    .map(([how, local, closesLocal]) => ({
      ...{ id: `s${n}`, name: { en: `Visit ${n}` }, closesLocal, blocks },
      opens: { how, local: how === 'at' ? local : null },
    }))
}

/** A guide of a few stages; no block stands in two of them. */
export const anyGuide: fc.Arbitrary<GuideContent> = fc
  .tuple(
    fc.shuffledSubarray([0, 1, 2, 3, 4]),
    fc.shuffledSubarray(Array.from({ length: 24 }, (_, n) => n)),
    fc.boolean(),
  )
  .chain(([stages, blocks, isSealed]) =>
    fc
      .tuple(
        ...stages.map((id, at) =>
          stage(
            id,
            blocks.filter((_, n) => n % stages.length === at).map((n) => block(n)),
          ),
        ),
      )
      .map((made) => ({
        ...{ title: { en: 'One stake' }, about: {}, stages: made },
        reading: isSealed ? ('sealed' as const) : ('followed' as const),
        dueLocal: isSealed ? '2026-11-30T17:00' : null,
      })),
  )
