// An instruction in a stage: words, pictures, films and files for whoever works there. Readers never see it.
import { newEvidencePiece, newTextPiece } from '../../pages/index.ts'
import type { Piece, RichText } from '../../pages/index.ts'
import { languages } from '../../people/index.ts'
import type { Instruction } from './schema.ts'

export function newInstruction(id: string): Instruction {
  return { kind: 'instruction', id, text: {}, items: [] }
}

export function isInstruction(block: { readonly kind: string }): block is Instruction {
  return block.kind === 'instruction'
}

/** Returns the words of an instruction in a language, else in whichever it has; null for none. */
function instructionText({ text }: Instruction, language: string): RichText | null {
  const wanted = languages.find((one) => one === language)
  return (wanted && text[wanted]) ?? languages.map((one) => text[one]).find((one) => one) ?? null
}

/** Returns what an instruction shows, as pieces. */
export function instructionPieces(instruction: Instruction, language: string): Piece[] {
  const { id, items } = instruction
  const words = instructionText(instruction, language)
  return [
    ...(words ? [newTextPiece(`${id}-text`, words)] : []),
    ...items.map((item, n) => newEvidencePiece(`${id}-${n}`, item)),
  ]
}
