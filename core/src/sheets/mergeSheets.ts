// Two windows wrote one question sheet: what each changed is kept, question by question.
import { isSame } from '../json/index.ts'
import type { Question } from '../pages/index.ts'
import type { SheetContent } from './schema.ts'

/**
 * Merges a sheet of this window with one that another window saved. Where both changed the same question, mine stands,
 * as it does for all that its writer sees before the eyes; a question that one side removed and the other changed stays.
 *
 * @param base what both windows started from
 */
export function mergeSheets(base: SheetContent, mine: SheetContent, theirs: SheetContent): SheetContent {
  return {
    title: isSame(mine.title, base.title) ? theirs.title : mine.title,
    about: isSame(mine.about, base.about) ? theirs.about : mine.about,
    questions: mergeQuestions(base.questions, mine.questions, theirs.questions),
  }
}

type Questions = readonly Question[]

function mergeQuestions(base: Questions, mine: Questions, theirs: Questions): Question[] {
  const before = byId(base)
  const here = byId(mine)
  const there = byId(theirs)
  const isChanged = (question: Question) => !isSame(before.get(question.id), question)
  const stays = (question: Question) => {
    const other = here.has(question.id) ? there : here
    return other.has(question.id) || isChanged(question)
  }
  const merged = (question: Question) => {
    const own = here.get(question.id)
    return own && isChanged(own) ? own : (there.get(question.id) ?? own ?? question)
  }
  // The order is mine where I changed it; what only the other side has goes after what stands before it there.
  const isMyOrder = !isSame(ids(mine), ids(base))
  const [first, second] = isMyOrder ? [mine, theirs] : [theirs, mine]
  const order = [...first]
  for (const [n, question] of second.entries()) {
    if (order.some(({ id }) => id === question.id)) continue
    const ahead = second.slice(0, n).findLast(({ id }) => order.some((one) => one.id === id))
    order.splice(ahead ? order.findIndex(({ id }) => id === ahead.id) + 1 : 0, 0, question)
  }
  return order.filter(stays).map(merged)
}

function byId(questions: Questions): Map<string, Question> {
  return new Map(questions.map((question) => [question.id, question]))
}

function ids(questions: Questions): string[] {
  return questions.map(({ id }) => id)
}
