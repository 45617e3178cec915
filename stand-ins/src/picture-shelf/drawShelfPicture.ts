// Draws the pictures of the shelf and of the made-up web: a handful of motifs, each its own picture by its name.
import sharp from 'sharp'

const WIDTH = 1000
const drawn = new Map<string, Buffer>()

/** Draws the pictures before the server starts, which disables the SVG decoder for the whole process. */
export async function drawShelfPictures(names: readonly string[]): Promise<void> {
  await Promise.all(names.map(async (name) => drawn.set(name, await render(name))))
}

/** Returns a picture as JPEG, four by three; null for an unknown name. */
export async function shelfPicture(name: string, width = WIDTH): Promise<Buffer | null> {
  const whole = drawn.get(name)
  if (!whole || width === WIDTH) return whole ?? null
  return sharp(whole).resize({ width }).jpeg({ quality: 80 }).toBuffer()
}

function render(name: string): Promise<Buffer> {
  const motif = motifs[name.split('-')[0] ?? ''] ?? shell
  const random = seeded(name)
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${WIDTH * 0.75}" ` +
    `viewBox="0 0 160 120">${motif(random)}</svg>`
  return sharp(Buffer.from(svg)).flatten({ background: '#fffdf8' }).jpeg({ quality: 84 }).toBuffer()
}

type Random = (least: number, most: number) => number

const many = (count: number, one: (n: number) => string) =>
  Array.from({ length: count }, (_, n) => one(n)).join('')

const ground = (top: string, bottom: string) =>
  `<linearGradient id="g" x2="0" y2="1"><stop stop-color="${top}"/><stop offset="1" stop-color="${bottom}"/></linearGradient><path fill="url(#g)" d="M0 0h160v120H0z"/>`

const stems = (random: Random, colour: string, count: number) =>
  `<path fill="none" stroke="${colour}" stroke-width="2.4" stroke-linecap="round" d="${many(count, () => {
    const x = random(8, 152)
    return `M${x} 118q${random(-6, 6)} -24 ${random(-10, 10)} ${-random(34, 86)}`
  })}"/>`

function glasswort(random: Random): string {
  return ground('#d9e2da', '#b79b73') + stems(random, '#a2492f', 26) + stems(random, '#58743d', 18)
}

function reed(random: Random): string {
  const heads = many(14, () => {
    const [x, y] = [random(10, 150), random(14, 60)]
    return `<ellipse cx="${x}" cy="${y}" rx="2.6" ry="9" fill="#6b4a2c"/>`
  })
  return ground('#f0d9b0', '#9fb3a2') + stems(random, '#7d7a45', 30) + heads
}

function tide(random: Random): string {
  const waves = many(7, (n) => {
    const y = 52 + n * 10
    return `<path fill="none" stroke="#f3f7f4" stroke-opacity="${0.9 - n * 0.1}" stroke-width="1.6" d="M-10 ${y}q${random(14, 26)} ${random(-9, -4)} 40 0t40 0 40 0 40 0 40 0"/>`
  })
  return `${ground('#a9c6d4', '#3f6a7a')}<circle cx="${random(30, 130)}" cy="26" r="10" fill="#fff6dd"/>${waves}`
}

function gull(random: Random): string {
  const birds = many(5, () => {
    const [x, y, s] = [random(16, 140), random(14, 70), random(5, 11)]
    return `<path fill="none" stroke="#34424a" stroke-width="1.8" d="M${x - s} ${y}q${s / 2} ${-s * 0.7} ${s} 0q${s / 2} ${-s * 0.7} ${s} 0"/>`
  })
  return `${ground('#dfe7e6', '#c7b28a')}${birds}`
}

function crab(random: Random): string {
  const x = random(66, 94)
  const legs = many(
    3,
    (n) =>
      `M${x - 18} ${70 + n * 7}l-${16 + n * 3} ${6 + n * 5}M${x + 18} ${70 + n * 7}l${16 + n * 3} ${6 + n * 5}`,
  )
  return `${ground('#cdb994', '#a58a62')}<path stroke="#8c3f27" stroke-width="3" fill="none" d="${legs}"/><ellipse cx="${x}" cy="70" rx="24" ry="16" fill="#b4552f"/><circle cx="${x - 8}" cy="56" r="3" fill="#2b1d14"/><circle cx="${x + 8}" cy="56" r="3" fill="#2b1d14"/>`
}

function shell(random: Random): string {
  const shells = many(9, () => {
    const [x, y, r] = [random(16, 144), random(20, 104), random(6, 13)]
    return `<g transform="translate(${x} ${y}) rotate(${random(0, 360)})"><path fill="#f1e2cc" stroke="#9a7f5b" d="M0 ${r}q${-r * 1.3} ${-r} 0 ${-r * 2}q${r * 1.3} ${r} 0 ${r * 2}z"/><path stroke="#b79b73" d="M0 ${r}V${-r}M0 ${r}L${-r / 2} ${-r * 0.6}M0 ${r}L${r / 2} ${-r * 0.6}"/></g>`
  })
  return ground('#cfc0a2', '#b39b72') + shells
}

const motifs: Readonly<Record<string, (random: Random) => string>> = {
  glasswort,
  reed,
  tide,
  gull,
  crab,
  shell,
}

/** Numbers that the name decides (mulberry32 over a sum of its signs). */
function seeded(name: string): Random {
  let state = [...name].reduce((sum, sign) => Math.imul(sum, 31) + (sign.codePointAt(0) ?? 0), 7) >>> 0
  return (least, most) => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return Math.round((least + (((t ^ (t >>> 14)) >>> 0) / 4_294_967_296) * (most - least)) * 10) / 10
  }
}
