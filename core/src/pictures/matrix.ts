// Plane projective maps as 3 by 3 matrices: what turning, cropping and squaring up do to points.

export interface Point {
  readonly x: number
  readonly y: number
}

/** Row by row: `x' = (a x + b y + c) / (g x + h y + i)`, `y' = (d x + e y + f) / (g x + h y + i)`. */
export type Matrix = readonly [
  a: number,
  b: number,
  c: number,
  d: number,
  e: number,
  f: number,
  g: number,
  h: number,
  i: number,
]

/** Four corners in order: top left, top right, bottom right, bottom left. */
export type Quad = readonly [Point, Point, Point, Point]

export const IDENTITY: Matrix = [1, 0, 0, 0, 1, 0, 0, 0, 1]

/** Composes two maps: `first`, then `second`. */
export function compose(first: Matrix, second: Matrix): Matrix {
  const [a, b, c, d, e, f, g, h, i] = second
  const [j, k, l, m, n, o, p, q, r] = first
  return [
    a * j + b * m + c * p,
    a * k + b * n + c * q,
    a * l + b * o + c * r,
    d * j + e * m + f * p,
    d * k + e * n + f * q,
    d * l + e * o + f * r,
    g * j + h * m + i * p,
    g * k + h * n + i * q,
    g * l + h * o + i * r,
  ]
}

/** Inverts a map, up to an irrelevant factor. @throws RangeError when the map is singular */
export function invert([a, b, c, d, e, f, g, h, i]: Matrix): Matrix {
  const [p, q, r] = [e * i - f * h, f * g - d * i, d * h - e * g]
  const determinant = a * p + b * q + c * r
  if (!(Math.abs(determinant) > 1e-12)) throw new RangeError('This map cannot be turned round')
  return [
    p / determinant,
    (c * h - b * i) / determinant,
    (b * f - c * e) / determinant,
    q / determinant,
    (a * i - c * g) / determinant,
    (c * d - a * f) / determinant,
    r / determinant,
    (b * g - a * h) / determinant,
    (a * e - b * d) / determinant,
  ]
}

/** Maps a point. */
export function mapPoint([a, b, c, d, e, f, g, h, i]: Matrix, { x, y }: Point): Point {
  const weight = g * x + h * y + i
  return { x: (a * x + b * y + c) / weight, y: (d * x + e * y + f) / weight }
}

export function scaling(x: number, y: number): Matrix {
  return [x, 0, 0, 0, y, 0, 0, 0, 1]
}

export function moving(x: number, y: number): Matrix {
  return [1, 0, x, 0, 1, y, 0, 0, 1]
}

/** Makes a clockwise rotation on the screen (y grows downwards) about the origin. */
export function turning(degrees: number): Matrix {
  const [sine, cosine] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)]
  return [cosine, -sine, 0, sine, cosine, 0, 0, 0, 1]
}

/**
 * Makes the map from the corners of the rectangle `0, 0, width, height` to the corners of `quad`, in order.
 *
 * The closed form of P. S. Heckbert, "Fundamentals of Texture Mapping and Image Warping" (1989), 2.2.3.
 *
 * @throws RangeError when three corners lie on one line
 */
export function rectangleToQuad({ width, height }: { width: number; height: number }, quad: Quad): Matrix {
  const [p, q, r, s] = quad
  const [dx1, dx2, dx3] = [q.x - r.x, s.x - r.x, p.x - q.x + r.x - s.x]
  const [dy1, dy2, dy3] = [q.y - r.y, s.y - r.y, p.y - q.y + r.y - s.y]
  const determinant = dx1 * dy2 - dx2 * dy1
  if (!(Math.abs(determinant) > 1e-9)) throw new RangeError('Three of the corners lie on one line')
  const g = (dx3 * dy2 - dx2 * dy3) / determinant
  const h = (dx1 * dy3 - dx3 * dy1) / determinant
  const fromUnit: Matrix = [
    q.x - p.x + g * q.x,
    s.x - p.x + h * s.x,
    p.x,
    q.y - p.y + g * q.y,
    s.y - p.y + h * s.y,
    p.y,
    g,
    h,
    1,
  ]
  return compose(scaling(1 / width, 1 / height), fromUnit)
}
