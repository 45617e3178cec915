// What Wren says of evidence: of one item in a sentence, of another along questions.
import { newTextPiece, textOf } from '@valise/core/pages'
import type { Operation, PageDocument } from '@valise/core/pages'
import { answersOf, textPieceOf } from '@valise/core/reflections'
import { shippedSheets } from '@valise/core/sheets'
import { takeQuestions } from '@valise/core/statements'
import { beginStatement, saveEdit, statementRoom } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'
import { answering } from './answering.ts'
import { shippedSheetIds } from './logbooksOfWren.ts'
import { at } from './pageBuilding.ts'
import type { PageBuilding } from './pageBuilding.ts'

const aboutQuadrat = 'I counted 41 stems. Last month it was 26, and the mud was softer then.'

const aboutSketch: Readonly<Record<string, string>> = {
  whatis: 'Glasswort, drawn in pencil on the bank, with what I counted beside it.',
  how: [
    'Drew the plant first, without looking down at the paper.',
    'Counted its joints and wrote the number along the stem.',
    'Went over it in ink at home and left the wrong count crossed out.',
  ].join('\n'),
  why: 'A photograph shows every stem alike. Here the one that I counted is the darkest line.',
  learned: 'I draw what I expect to see. Next time I count before I draw, and leave the tip open until then.',
}

export async function buildStatements(building: PageBuilding): Promise<void> {
  await say(building, 'Quadrat 7, low marsh', 8, (document) => {
    const text = textPieceOf(document)
    return text ? [{ op: 'set-piece', piece: newTextPiece(text.id, textOf(aboutQuadrat)) }] : []
  })
  const sheet = shippedSheets.find(({ id }) => id === shippedSheetIds.thing) ?? null
  await say(building, 'Sketch sheet 12', 27, (document) => takeQuestions(document, sheet))
  await say(building, 'Sketch sheet 12', 27, (document) =>
    answersOf(document).flatMap(({ piece }): Operation[] => {
      const given = aboutSketch[piece.given.question.id]
      return given === undefined ? [] : [{ op: 'set-piece', piece: answering(piece, given) }]
    }),
  )
}

async function say(
  building: PageBuilding,
  title: string,
  daysAgo: number,
  write: (document: PageDocument) => Operation[],
): Promise<void> {
  const { actor, things } = building
  const id = things.get(title)?.id
  if (id === undefined) throw new Error(`there is no evidence ${title}`)
  const on = at(building, daysAgo, 18)
  const { draft } = await beginStatement(on, actor, id, { lang: 'en' })
  if (!draft) throw new Error(`nothing could be said of ${title}`)
  const ids = { editId: uuidv7(), windowId: uuidv7() }
  const edit = { base: draft.revision, ...ids, operations: write(draft.document) }
  await saveEdit(on, statementRoom, { actor, id, edit })
}
