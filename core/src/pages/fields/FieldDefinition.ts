// What a kind of question says of its questions and of the answers to them.
import type { PageDocument } from '../schema.ts'
import type { RichText } from '../richText.ts'
import type { Option, WordLimits } from './fieldParts.ts'
import type { AnswerOf, FieldKind, QuestionOf } from './fieldSchemas.ts'

export interface FieldDefinition<K extends FieldKind> {
  /** A new question, without words yet. */
  create(id: string): QuestionOf<K>
  /** The answer before anybody answered. */
  blank(): AnswerOf<K>
  /** How many words are asked for; null where none are written. */
  wordLimits(question: QuestionOf<K>): WordLimits | null
  /** How many things are to stand beside it; null where they are not counted. */
  amount(question: QuestionOf<K>): WordLimits | null
  /** What there is to choose from; null where nothing is chosen. */
  options(question: QuestionOf<K>): readonly Option[] | null
  /** Whether it stands in guides alone, as it asks for more than an entry can hold. */
  readonly isForGuides?: boolean
  /** Whether evidence may stand beside an answer that is not evidence itself; not, where it is left out. */
  readonly takesEvidence?: boolean
  /** Whether a question has what only its kind needs before it can be asked; always, where it is left out. */
  isReady?(question: QuestionOf<K>): boolean
  isBlank(answer: AnswerOf<K>): boolean
  /** Whether an answer that has something lacks nothing but words; always, where it is left out. */
  isWhole?(answer: AnswerOf<K>): boolean
  /** The words of the answerer that are counted. */
  written(answer: AnswerOf<K>): string
  /** All that is said, without formatting. */
  plainText(answer: AnswerOf<K>, lang: PageDocument['lang']): string
  texts(answer: AnswerOf<K>): readonly RichText[]
  /** Accessible HTML of an answer that is not blank, under the question as its heading. */
  render(answer: AnswerOf<K>, view: AnswerView): string
}

interface AnswerView {
  readonly lang: PageDocument['lang']
  /** By how many levels headings are lowered. */
  readonly shift: number
}
