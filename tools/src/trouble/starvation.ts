// One person asks for more than the machine can do: others are served all the same.
import sharp from 'sharp'
import { finding } from './trial.ts'
import type { Trial } from './trial.ts'
import { pause, TroubledServer } from './TroubledServer.ts'
import type { Caller } from './TroubledServer.ts'

const HEAVY = 4
const UPLOADS = 5
/** An upload of somebody else may take so many times as long as on an idle server. */
const MOST_TIMES = 12

export const starvation: Trial = {
  name: 'Starvation',
  run: async () => {
    const server = new TroubledServer()
    await server.start()
    const [greedy, other] = [await server.signIn('Wren'), await server.signIn('Tomasz')]
    // The first one starts a process.
    await bringIn(other, 1)
    const idle = await bringIn(other, UPLOADS)
    const photos: string[] = []
    for (let n = 0; n < HEAVY; n += 1) photos.push(await greedy.upload(`photo ${n}.jpg`, await photo(n)))
    for (const id of photos)
      await greedy.ask('PUT', `/api/evidence/${id}/versions/1/recipe`, heavyRecipe(), { 'if-match': '"r0"' })
    await pause(2000)
    const busy = await bringIn(other, UPLOADS)
    const wait = await untilShown(other, busy.ids)
    await server.end('SIGTERM')
    server.remove()
    const times = busy.milliseconds / idle.milliseconds
    return [
      finding(
        'an upload beside heavy recipes',
        `${times.toFixed(1)} times`,
        `≤ ${MOST_TIMES} times`,
        times <= MOST_TIMES,
      ),
      finding('pictures that were not recognised at once', busy.unknown, '0', busy.unknown === 0),
      finding('pictures of others still not shown', wait, '0', wait === 0),
    ]
  },
}

async function bringIn(caller: Caller, count: number) {
  const ids: string[] = []
  let unknown = 0
  const from = performance.now()
  for (let n = 0; n < count; n += 1) {
    const content = await sharp({
      create: {
        width: 900,
        height: 600,
        channels: 3,
        background: { r: n * 9, g: Math.random() * 255, b: 80 },
      },
    })
      .jpeg()
      .toBuffer()
    const id = await caller.upload(`small ${n}.jpg`, content)
    ids.push(id)
    const { kind } = (await caller.ask('GET', `/api/evidence/${id}`)).body
    if (kind !== 'picture') unknown += 1
  }
  return { ids, unknown, milliseconds: (performance.now() - from) / count }
}

/** @returns how many pictures have no preview after a minute */
async function untilShown(caller: Caller, ids: readonly string[]): Promise<number> {
  let waiting = ids.length
  for (const endsAt = Date.now() + 60_000; waiting > 0 && Date.now() < endsAt; await pause(250)) {
    const items = await Promise.all(ids.map((id) => caller.ask('GET', `/api/evidence/${id}`)))
    waiting = items.filter(({ body }) => body.version.preview !== 'there').length
  }
  return waiting
}

function photo(n: number): Promise<Buffer> {
  const noise = { type: 'gaussian', mean: 100 + n, sigma: 50 } as const
  return sharp({ create: { width: 6000, height: 4000, channels: 3, background: '#888', noise } })
    .jpeg()
    .toBuffer()
}

/** As much covered as a recipe may, with every step for light. */
function heavyRecipe(): object {
  const corners = Array.from({ length: 400 }, (_, n) => [n * 15, 2000 + 1900 * Math.sin(n / 9)])
  const parts = Array.from({ length: 9 }, () => ({ corners, radius: 300, fill: 'squares', seed: 7 }))
  return {
    schema: 1,
    steps: [
      { kind: 'turn', on: true, quarters: 0, degrees: 3, mirrored: false },
      { kind: 'even', on: true, strength: 90, levels: 'found' },
      { kind: 'light', on: true, brightness: 10, contrast: 20, warmth: -10, sharpness: 80 },
      { kind: 'conceal', on: true, parts },
    ],
  }
}
