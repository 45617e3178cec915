// What building logbooks and pages works with: the world so far, its days, and Wren's things.
import { definitionOf, newEvidencePiece } from '@valise/core/pages'
import type { Piece } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import { shiftedClock } from '@valise/server'
import type { Database, Services } from '@valise/server'
import { v7 as uuidv7 } from 'uuid'

export interface PageBuilding {
  readonly services: Services
  readonly today: LocalDay
  readonly actor: PersonActor
  readonly things: ReadonlyMap<string, Parameters<typeof newEvidencePiece>[1]>
  /** Logbooks and entries by their titles, once they are written. */
  readonly logbooks: Map<string, string>
  readonly entries: Map<string, string>
}

/** The database at an hour of a day so many days ago. */
export function at({ services, today }: PageBuilding, daysAgo: number, hour: number): Database {
  const moment = `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:20:00.000Z`
  return { ...services.database, clock: shiftedClock(moment) }
}

export function toThing(
  { things }: PageBuilding,
  title: string,
  caption: string,
  { span, alternativeText }: { readonly span?: number; readonly alternativeText?: string } = {},
): Piece {
  const thing = things.get(title)
  if (!thing) throw new Error(`there is no evidence ${title}`)
  const piece = { ...newEvidencePiece(uuidv7(), thing, span), caption }
  return definitionOf(piece).withDescription(piece, piece.id, alternativeText ?? '')
}
