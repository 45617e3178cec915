// Answers to questions of the sample world.
import { fieldOf } from '@valise/core/pages'
import type { AnswerPiece } from '@valise/core/pages'
import { richTextOf } from './sampleBlocks.ts'

/** Answers a question with a text, or with the option of this id. */
export function answering(piece: AnswerPiece, given: string): AnswerPiece {
  const { question, answer: blank } = piece.given
  const option = fieldOf(piece.given)
    .options(question as never)
    ?.find(({ id }) => id === given)
  const answers = {
    chosen: option ? [option] : [],
    step: option ?? null,
    reason: '',
    steps: given.split('\n'),
    day: given,
    text: typeof Object(blank).text === 'string' ? given : richTextOf(given),
  }
  // What the answer of this kind is made of, which the compiler does not follow.
  const answer = Object.fromEntries(
    Object.keys(blank).map((name) => [name, answers[name as keyof typeof answers]]),
  )
  return { ...piece, given: { ...piece.given, answer } } as AnswerPiece
}
