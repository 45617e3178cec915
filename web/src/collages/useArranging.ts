// What is chosen on the board, and everything that can be done with it.
import {
  alignLayers,
  boardSizes,
  boundsOfAll,
  changeLayers,
  distributeLayers,
  moveLayers,
  orderLayers,
  withGroups,
} from '@valise/core/pictures'
import type { Box, Collage, Edge, Layer, Point } from '@valise/core/pictures'
import { useState } from 'react'
import { duplicates, newLayer } from './newLayers.ts'
import type { Addable } from './newLayers.ts'

export interface Arranging {
  readonly collage: Collage
  /** The layers that are chosen, from the lowest up. */
  readonly chosen: readonly Layer[]
  readonly ids: ReadonlySet<string>
  /** The box about all that is chosen; null about nothing. */
  readonly bounds: Box | null
  /** Chooses a layer with its group; `added` keeps what was chosen before, and lets go of what is pressed again. */
  choose(id: string | null, isAdded?: boolean): void
  chooseMany(ids: readonly string[]): void
  /** Shows layers while something is dragged; `done` keeps what is shown. */
  show(layers: Layer[]): void
  done(): void
  save(layers: Layer[]): void
  saveCollage(collage: Collage): void
  showCollage(collage: Collage): void
  /** Changes each chosen layer. */
  change(to: (layer: Layer) => Layer, isShownOnly?: boolean): void
  move(by: Point): void
  add(what: Addable): void
  addLayers(layers: readonly Layer[]): void
  align(edge: Edge): void
  distribute(along: 'across' | 'down'): void
  order(where: 'nearer' | 'further' | 'nearest' | 'furthest'): void
  duplicate(): void
  group(): void
  ungroup(): void
  lock(isLocked: boolean): void
  drop(): void
}

interface ArrangingOf {
  /** As it is shown now. */
  readonly collage: Collage
  onShow(collage: Collage): void
  onSave(collage: Collage): void
}

const newId = () => crypto.randomUUID()

export function useArranging({ collage, onShow, onSave }: ArrangingOf): Arranging {
  const [wanted, setWanted] = useState<ReadonlySet<string>>(new Set())
  const { layers } = collage
  const chosen = layers.filter(({ id }) => wanted.has(id))
  const ids = new Set(chosen.map(({ id }) => id))
  const board = { x: 0, y: 0, ...boardSizes[collage.size] }
  const save = (next: Layer[]) => onSave({ ...collage, layers: next })
  const show = (next: Layer[]) => onShow({ ...collage, layers: next })
  const addLayers = (added: readonly Layer[]) => {
    save([...layers, ...added])
    setWanted(new Set(added.map(({ id }) => id)))
  }
  const regroup = (group: string | null) =>
    save(layers.map((layer) => (ids.has(layer.id) ? { ...layer, group } : layer)))
  return {
    collage,
    chosen,
    ids,
    bounds: boundsOfAll(chosen),
    choose: (id, isAdded = false) => {
      if (id === null) return setWanted(new Set())
      const its = withGroups(layers, new Set([id]))
      if (!isAdded) return setWanted(its)
      const isIn = ids.has(id)
      setWanted(new Set(isIn ? [...ids].filter((one) => !its.has(one)) : [...ids, ...its]))
    },
    chooseMany: (some) => setWanted(withGroups(layers, new Set(some))),
    show,
    done: () => onSave(collage),
    save,
    saveCollage: onSave,
    showCollage: onShow,
    change: (to, isShownOnly = false) => {
      const next = changeLayers(layers, ids, to)
      return isShownOnly ? show(next) : save(next)
    },
    move: (by) => show(moveLayers(layers, ids, by)),
    add: (what) => addLayers([newLayer(what, newId(), collage)]),
    addLayers,
    align: (edge) => save(alignLayers(layers, ids, edge, board)),
    distribute: (along) => save(distributeLayers(layers, ids, along)),
    order: (where) => save(orderLayers(layers, ids, where)),
    duplicate: () => addLayers(duplicates(layers, ids, newId)),
    group: () => regroup(newId()),
    ungroup: () => regroup(null),
    // What is locked can be opened again, so this goes past the lock.
    lock: (isLocked) => save(layers.map((layer) => (ids.has(layer.id) ? { ...layer, isLocked } : layer))),
    drop: () => {
      save(layers.filter(({ id, isLocked }) => !ids.has(id) || isLocked))
      setWanted(new Set(chosen.filter(({ isLocked }) => isLocked).map(({ id }) => id)))
    },
  }
}
