// Drawing on the server: a canvas over samples, with the fonts that ship with Valise.
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { createCanvas, GlobalFonts, ImageData } from '@napi-rs/canvas'
import { MONO_FONT, SERIF_FONT, TEXT_FONT } from '@valise/core/pictures'
import type { Drawing, Raster } from '@valise/core/pictures'

/** Draws over a picture and returns its samples. */
export function drawOn({ width, height, data }: Raster, draw: (drawing: Drawing) => void): Raster {
  knowFonts()
  const canvas = createCanvas(width, height)
  const context = canvas.getContext('2d')
  context.putImageData(new ImageData(Uint8ClampedArray.from(data), width, height), 0, 0)
  draw(context)
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}

let areFontsKnown = false

/** The fonts that ship with Valise, by the families under which they are asked for. */
const families = {
  'atkinson-hyperlegible-next': TEXT_FONT,
  'atkinson-hyperlegible-mono': MONO_FONT,
  fraunces: SERIF_FONT,
} as const

export function knowFonts(): void {
  if (areFontsKnown) return
  areFontsKnown = true
  const require = createRequire(import.meta.url)
  for (const [name, family] of Object.entries(families)) {
    const folder = dirname(require.resolve(`@fontsource-variable/${name}/package.json`))
    const file = join(folder, 'files', `${name}-latin-wght-normal.woff2`)
    if (!GlobalFonts.registerFromPath(file, family)) throw new Error(`the font ${family} cannot be read`)
  }
}
