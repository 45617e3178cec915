// The recipe under way: changed at once, kept by itself one change after the other, and on the device until it is.
import { useQueryClient } from '@tanstack/react-query'
import type { KeptRecipe, PictureRecipe } from '@valise/core/pictures'
import { useCallback, useEffect, useRef, useState } from 'react'
import { ApiProblem } from '../api/index.ts'
import { noteKeeping, noteKept, noteOnDevice, noteRefused } from '../app/kept.ts'
import { refreshEvidence } from '../evidence/queries.ts'
import { putRecipe, readRecipe, recipeQueries } from './queries.ts'
import type { VersionOfItem } from './queries.ts'
import { beginHistory, change, redo, undo } from './recipeChanges.ts'
import type { RecipeHistory } from './recipeChanges.ts'
import { forgetRecipe, rememberRecipe, rememberedRecipe } from './recipeShelf.ts'

const TRY_AGAIN_MS = 3000

export interface RecipeInHand {
  readonly recipe: PictureRecipe
  readonly canUndo: boolean
  readonly canRedo: boolean
  /** Why the last change was not kept. */
  readonly refused: unknown
  set(recipe: PictureRecipe): void
  undo(): void
  redo(): void
}

export function useRecipe(of: VersionOfItem, kept: KeptRecipe): RecipeInHand {
  const client = useQueryClient()
  const [history, setHistory] = useState<RecipeHistory>(() => startingWith(of, kept))
  const [refused, setRefused] = useState<unknown>(null)
  const revision = useRef(kept.revision)
  const waiting = useRef<PictureRecipe | null>(null)
  const isSending = useRef(false)

  const send = useCallback(async () => {
    if (isSending.current) return
    isSending.current = true
    while (waiting.current) {
      const recipe = waiting.current
      waiting.current = null
      noteKeeping()
      try {
        const answer = await putRecipe(of, recipe, revision.current)
        revision.current = answer.revision
        client.setQueryData(recipeQueries.one(of).queryKey, answer)
        if (!waiting.current) forgetRecipe(of)
        setRefused(null)
        noteKept()
      } catch (error) {
        if (isOutOfReach(error)) {
          waiting.current ??= recipe
          noteKept()
          noteOnDevice(1)
          await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
        } else {
          setRefused(error)
          noteRefused()
          // Another window was faster: the next change goes over what it kept, and is this one's whole recipe.
          await readRecipe(of).then(
            (present) => (revision.current = present.revision),
            () => undefined,
          )
        }
      }
    }
    isSending.current = false
    void refreshEvidence(client)
  }, [of, client])

  const keep = useCallback(
    (recipe: PictureRecipe) => {
      rememberRecipe(of, recipe)
      waiting.current = recipe
      void send()
    },
    [of, send],
  )
  // What the device still held from before is kept now.
  useEffect(() => {
    const waitingSince = rememberedRecipe(of)
    if (!waitingSince) return
    const timer = setTimeout(() => keep(waitingSince))
    return () => clearTimeout(timer)
    // Once, when the bench opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])

  const move = (to: (before: RecipeHistory) => RecipeHistory) => {
    const after = to(history)
    if (after === history || after.present === history.present) return
    setHistory(after)
    keep(after.present)
  }
  return {
    recipe: history.present,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    refused,
    set: (recipe) => move((before) => change(before, recipe)),
    undo: () => move(undo),
    redo: () => move(redo),
  }
}

/** Nothing came back, or the session ended: neither says anything of the recipe. */
function isOutOfReach(error: unknown): boolean {
  return (
    error instanceof ApiProblem && ['unreachable', 'signed-out', 'busy', 'unexpected'].includes(error.code)
  )
}

/** What could not be kept before is the newest; the way back leads to what the server has. */
function startingWith(of: VersionOfItem, { recipe }: KeptRecipe): RecipeHistory {
  const waiting = rememberedRecipe(of)
  return waiting ? change(beginHistory(recipe), waiting) : beginHistory(recipe)
}
