// The state of one open page: its draft, which piece is chosen, and what is being put where.
import { useQueryClient } from '@tanstack/react-query'
import type { EvidenceRow } from '@valise/core/evidence'
import { definitionOf, findPiece, isShown, newEvidencePiece } from '@valise/core/pages'
import type { Operation, Page, Piece, PieceKind, Shown } from '@valise/core/pages'
import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import { useDraft, useFreshDraft } from '../saving/index.ts'
import type { OpenDraft } from '../saving/index.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { toShownEvidence } from '../evidence/base/index.ts'
import { listPlaces, movePiece, putPieces, removePiece } from './places.ts'
import type { PagePlace } from './places.ts'
import { pagePath, pageQueries } from './queries.ts'
import { standsAsWords, toPieces } from './wordsOfEvidence.ts'
import type { PlacedItem } from './wordsOfEvidence.ts'

/** What is being carried: something new from the tray, or a piece that moves. */
type Held =
  | { readonly kind: 'evidence'; readonly items: readonly EvidenceRow[] }
  | { readonly kind: 'piece'; readonly pieceId: string }

export interface PageState {
  readonly page: Page
  readonly draft: OpenDraft
  readonly shown: Shown
  readonly chosen: string | null
  readonly held: Held | null
  /** Where what is held would go. */
  readonly target: PagePlace | null
}

/** The acts on the open page; they stay the same functions. */
export interface PageActs {
  act(operations: readonly Operation[]): void
  setPiece(piece: Piece): void
  choose(pieceId: string | null): void
  /** Adds new pieces after the chosen piece's row, or at a place, and chooses the first. */
  add(pieces: readonly Piece[], place?: PagePlace): void
  /** Adds pieces that show items: of a kind that was chosen, or of the first that shows such items. */
  addEvidence(items: readonly EvidenceRow[], place?: PagePlace, kind?: PieceKind): void
  remove(pieceId: string): void
  hold(held: Held): void
  aim(place: PagePlace): void
  put(place: PagePlace): void
  letGo(): void
  /** See `DraftSync.registerFlush`. */
  registerFlush(flush: () => void): () => void
}

export type PageEditorState = PageState & PageActs

const PageStateContext = createContext<PageEditorState | null>(null)
const PageActsContext = createContext<PageActs | null>(null)
export const PageStateProvider = PageStateContext.Provider
export const PageActsProvider = PageActsContext.Provider

/** Returns the whole open page: the caller is rendered again at each change. */
export function usePage(): PageEditorState {
  const state = useContext(PageStateContext)
  if (!state) throw new Error('there is no page around this')
  return state
}

/** Returns only the acts, which never change: for the many rows and pieces of a page. */
export function usePageActs(): PageActs {
  const acts = useContext(PageActsContext)
  if (!acts) throw new Error('there is no page around this')
  return acts
}

const newId = () => crypto.randomUUID()

export function usePageEditor(page: Page): { readonly state: PageState; readonly acts: PageActs } {
  const draft = useDraft(pagePath(page.id), page.draft)
  const { sync, document } = draft
  const shown = useShown(page, draft)
  const [here, setHere] = useState<Shown['evidence']>({})
  const client = useQueryClient()
  const [chosen, choose] = useState<string | null>(null)
  const [held, setHeld] = useState<Held | null>(null)
  const [target, aim] = useState<PagePlace | null>(null)
  const known = useMemo(() => ({ ...shown, evidence: { ...here, ...shown.evidence } }), [shown, here])

  const lastPlace = (): PagePlace => {
    const row = chosen === null ? null : findPiece(document, chosen)?.row
    return { kind: 'new-row', after: (row ?? document.rows.at(-1))?.id ?? null }
  }
  const add = (pieces: readonly Piece[], place: PagePlace = lastPlace()) => {
    sync.act(putPieces(place, pieces, newId))
    choose(pieces[0]?.id ?? null)
  }
  const place = (placed: readonly PlacedItem[], where?: PagePlace) => {
    const shownNow = placed.flatMap(({ piece, item }) =>
      definitionOf(piece)
        .references(piece)
        .flatMap((one) => (one.thing === 'evidence' ? [[one.key, toShownEvidence(item)] as const] : [])),
    )
    setHere((before) => ({ ...before, ...Object.fromEntries(shownNow) }))
    add(
      placed.map(({ piece }) => piece),
      where,
    )
  }
  const addEvidence = (items: readonly EvidenceRow[], where?: PagePlace, kind?: PieceKind) => {
    const wide = items.length > 1 ? 4 : undefined
    // What needs no asking stands at once, under the very finger that let it go.
    if (!items.some(standsAsWords))
      return place(
        items.map((item) => ({ item, piece: newEvidencePiece(newId(), item, wide, kind) })),
        where,
      )
    void toPieces(client, items, { newId, span: wide, kind }).then((placed) => place(placed, where))
  }
  const letGo = () => {
    setHeld(null)
    aim(null)
  }
  const acts = useStableActs({
    act: (operations: readonly Operation[]) => void sync.act(operations),
    setPiece: (piece: Piece) => void sync.act([{ op: 'set-piece', piece }]),
    choose: (pieceId: string | null) => choose(pieceId),
    add,
    addEvidence,
    remove: (pieceId: string) => {
      sync.act(removePiece(document, pieceId))
      choose(null)
    },
    hold: (next: Held) => {
      setHeld(next)
      aim(next.kind === 'evidence' ? lastPlace() : (placeOf(next.pieceId) ?? lastPlace()))
    },
    aim: (place: PagePlace) => aim(place),
    put: (place: PagePlace) => {
      if (held?.kind === 'evidence') addEvidence(held.items, place)
      if (held?.kind === 'piece') sync.act(movePiece(document, held.pieceId, place, newId))
      letGo()
    },
    letGo,
    registerFlush: (flush: () => void) => sync.registerFlush(flush),
  })
  const isThere = chosen !== null && findPiece(document, chosen) !== null
  return { state: { page, draft, shown: known, chosen: isThere ? chosen : null, held, target }, acts }

  function placeOf(pieceId: string): PagePlace | null {
    const rowId = findPiece(document, pieceId)?.row.id
    return listPlaces(document).find((place) => place.kind === 'in-row' && place.rowId === rowId) ?? null
  }
}

/** The server's facts of the things on the page; refetched once something new has been delivered. */
function useShown(page: Page, { document, delivery, revision, fromElsewhere }: OpenDraft): Shown {
  const client = useQueryClient()
  const { shown } = page.draft
  const isKnown = document.rows.every(({ pieces }) => pieces.every((piece) => isShown(piece, shown)))
  useEffect(() => {
    if (isKnown || delivery !== 'delivered' || page.draft.revision >= revision) return
    void client.invalidateQueries({ queryKey: pageQueries.one(page.id).queryKey })
  }, [client, isKnown, delivery, revision, page.id, page.draft.revision])
  useFreshDraft(pageQueries.one(page.id).queryKey, fromElsewhere)
  return shown
}
