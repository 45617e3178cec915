// The scenes of the sample world by name.
import { pool, quadrat, strandline } from './close.ts'
import { notedSheet } from './notedSheet.ts'
import { map, plot, sketch, tallyCard } from './paper.ts'
import { bank, bird, crew, marsh, stake, transectLine } from './shore.ts'

export { makeDice, toSvg } from './drawing.ts'

export const scenes = {
  marsh,
  bird,
  bank,
  stake,
  crew,
  transectLine,
  quadrat,
  pool,
  strandline,
  sketch,
  notedSheet,
  tallyCard,
  map,
  plot,
} as const
export type SceneName = keyof typeof scenes
