// What can be drawn on: the part of a canvas's 2D context that our painters use, in a browser and on a server alike.

/** The used subset of the HTML standard's `CanvasRenderingContext2D`. */
export interface Drawing {
  fillStyle: unknown
  strokeStyle: unknown
  lineWidth: number
  lineCap: 'butt' | 'round' | 'square'
  lineJoin: 'bevel' | 'miter' | 'round'
  font: string
  textBaseline: 'alphabetic' | 'top' | 'middle' | 'bottom' | 'hanging' | 'ideographic'
  textAlign: 'left' | 'right' | 'center' | 'start' | 'end'
  globalAlpha: number
  save(): void
  restore(): void
  beginPath(): void
  closePath(): void
  moveTo(x: number, y: number): void
  lineTo(x: number, y: number): void
  quadraticCurveTo(cx: number, cy: number, x: number, y: number): void
  ellipse(x: number, y: number, rx: number, ry: number, turn: number, from: number, to: number): void
  rect(x: number, y: number, width: number, height: number): void
  fill(): void
  stroke(): void
  fillText(words: string, x: number, y: number): void
  strokeText(words: string, x: number, y: number): void
  measureText(words: string): { readonly width: number }
}

/** `Drawing` with what a collage needs as well: pictures, rotation and clipping. */
export interface BoardDrawing<I> extends Drawing {
  globalCompositeOperation: string
  translate(x: number, y: number): void
  rotate(angle: number): void
  scale(across: number, down: number): void
  clip(): void
  bezierCurveTo(ax: number, ay: number, bx: number, by: number, x: number, y: number): void
  arcTo(ax: number, ay: number, bx: number, by: number, radius: number): void
  fillRect(x: number, y: number, width: number, height: number): void
  drawImage(
    image: I,
    sx: number,
    sy: number,
    sWidth: number,
    sHeight: number,
    x: number,
    y: number,
    width: number,
    height: number,
  ): void
}

/** The font families under which every canvas knows our fonts. */
export const TEXT_FONT = 'Atkinson Hyperlegible Next Variable'
export const SERIF_FONT = 'Fraunces Variable'
export const MONO_FONT = 'Atkinson Hyperlegible Mono Variable'
