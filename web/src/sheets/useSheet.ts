// A question sheet that saves itself while it is written.
import { useQueryClient } from '@tanstack/react-query'
import { fieldOf } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import type { OwnSheet, SheetContent } from '@valise/core/sheets'
import { useMemo } from 'react'
import { useDocument } from '../saving/index.ts'
import { newId } from './newId.ts'
import { SheetStore } from './SheetStore.ts'

export function useSheet(sheet: OwnSheet) {
  const client = useQueryClient()
  const saved = useMemo(
    () => ({ document: sheet.content, revision: sheet.revision }),
    [sheet.content, sheet.revision],
  )
  const open = useDocument<SheetContent, SheetStore>(saved, () => new SheetStore(client, sheet.id))
  const { document, set } = open
  const withQuestions = (questions: Question[]) => set({ ...document, questions })
  /** Adds a question of a kind at the end. @returns its id */
  const add = (kind: FieldKind): string => {
    const id = newId()
    // A field makes questions of its kind, which the compiler does not follow.
    withQuestions([...document.questions, fieldOf({ kind }).create(id) as Question])
    return id
  }
  const change = (question: Question) =>
    withQuestions(document.questions.map((one) => (one.id === question.id ? question : one)))
  const remove = (id: string) => withQuestions(document.questions.filter((one) => one.id !== id))
  /** Moves a question to a place, from 0. */
  const move = (id: string, to: number) => {
    const question = document.questions.find((one) => one.id === id)
    if (!question) return
    const others = document.questions.filter((one) => one.id !== id)
    withQuestions([...others.slice(0, to), question, ...others.slice(to)])
  }
  return { ...open, add, change, remove, move }
}
