import { EMPTY_RECIPE } from '@valise/core/pictures'
import type { Mark, PictureRecipe, RecipeStep } from '@valise/core/pictures'
import { newEvidencePiece } from '@valise/core/pages'
import sharp from 'sharp'
import {
  addTextRow,
  describeEachDatabase,
  handInSealed,
  makePicture,
  sendEdit,
  setAssignment,
  startSubmissions,
  TEST_START,
  upload,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { shiftedClock } from '../system/index.ts'
import { giveUpRecipe } from './recipeService.ts'
import { sweep } from './sweep.ts'

const recipe = (...steps: RecipeStep[]): PictureRecipe => ({ ...EMPTY_RECIPE, steps })
const turn: RecipeStep = { kind: 'turn', on: true, quarters: 1, degrees: 0, mirrored: false }
const light: RecipeStep = { kind: 'light', on: true, brightness: -60, contrast: 0, warmth: 0, sharpness: 0 }
const corners = [
  [0, 0],
  [320, 0],
  [320, 240],
  [0, 240],
] satisfies [number, number][]
const conceal: RecipeStep = {
  kind: 'conceal',
  on: true,
  parts: [{ corners, radius: 0, fill: 'cover', seed: 1 }],
}

describeEachDatabase('pictures that are put right', (open, onSqlite) => {
  async function start() {
    const world = await startSubmissions(open)
    const { wren, seal, pass } = world
    const add = async (name: string, content: Buffer) => {
      const { body } = await upload(wren, { name, content })
      await settle()
      return body.outcome.evidenceId as string
    }
    const settle = async () => {
      pass(1)
      await seal()
    }
    const at = (id: string, n = 1) => `/api/evidence/${id}/versions/${n}`
    const save = (id: string, wanted: unknown, revision = 0) => wren.put(`${at(id)}/recipe`, wanted, revision)
    return { ...world, add, settle, at, save }
  }
  const give = (by: TestBrowser, pageId: string, audience: object) =>
    by.post('/api/passes', {
      ...{ thing: { kind: 'page', id: pageId }, audience, rights: ['look'], firstDay: null, lastDay: null },
    })
  /** The colour at a point of a rendition, as parts of its sides. */
  async function colourAt(browser: TestBrowser, address: string, x: number, y: number) {
    const { bytes, status } = await browser.get(address)
    if (status !== 200) return status
    const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true })
    const from = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * 3
    return [...data.subarray(from, from + 3)].map((value) => Math.round(value / 10) * 10)
  }
  const covered = [30, 40, 50]

  it('keep their original, and each change as a recipe that can be taken back', async () => {
    const { wren, add, at, save, settle } = await start()
    const content = await makePicture({ width: 640, height: 480 })
    const id = await add('sheet.jpg', content)
    expect((await wren.get(`${at(id)}/recipe`)).body).toEqual({
      recipe: EMPTY_RECIPE,
      revision: 0,
      original: { width: 640, height: 480 },
      isMade: true,
    })
    expect((await save(id, recipe(turn, conceal))).body).toMatchObject({ revision: 1, isMade: false })
    await settle()
    const { version } = (await wren.get(`/api/evidence/${id}`)).body
    expect(version).toMatchObject({ renderRevision: 1, width: 480, height: 640, preview: 'there' })
    expect(await colourAt(wren, `${at(id)}/screen`, 0.75, 0.25)).toEqual(covered)
    expect((await wren.get(`${at(id)}/file`)).bytes.equals(content)).toBe(true)
    expect(await colourAt(wren, `${at(id)}/as-taken`, 0.25, 0.25)).toEqual([180, 160, 110])
    await save(id, EMPTY_RECIPE, 1)
    await settle()
    expect((await wren.get(`/api/evidence/${id}`)).body.version).toMatchObject({ width: 640, height: 480 })
    expect((await wren.get(`${at(id)}/recipe`)).body).toMatchObject({ revision: 2, isMade: true })
  })

  onSqlite('can come with their recipe, so that they are never shown without it', async () => {
    const { wren, at, settle } = await start()
    const bring = async (name: string, wanted: unknown) => {
      const content = await makePicture({ width: 600 + name.length })
      const { body } = await upload(wren, { name, content, recipe: wanted })
      return body.outcome.evidenceId as string
    }
    const id = await bring('sheet.jpg', recipe(turn, conceal))
    await settle()
    expect((await wren.get(`${at(id)}/recipe`)).body).toMatchObject({ revision: 1, isMade: true })
    expect(await colourAt(wren, `${at(id)}/screen`, 0.75, 0.25)).toEqual(covered)
    // What is no recipe, or does not fit, costs nobody a photo.
    for (const wrong of [{ schema: 7 }, 'no recipe at all', recipe(turn, turn)]) {
      const other = await bring(`${JSON.stringify(wrong).length}.jpg`, wrong)
      expect((await wren.get(`${at(other)}/recipe`)).body).toMatchObject({ revision: 0 })
    }
  })

  it('do not overwrite what another window kept, and carry out only the last of quick changes', async () => {
    const { add, save, settle, site } = await start()
    const id = await add('sheet.jpg', await makePicture())
    await save(id, recipe(light))
    expect((await save(id, recipe(turn))).status).toBe(412)
    await save(id, recipe(turn), 1)
    await save(id, recipe(turn, light), 2)
    await settle()
    const reader = site.services.database.reader().sql
    const made = await reader('renditions')
      .where({ evidenceId: id, kind: 'screen' })
      .orderBy('recipeRevision')
    expect(made.map((row) => row.recipeRevision)).toEqual([0, 3])
    // What nobody was given is let go of, and with time the recipes that led there; the one that counts stays.
    await save(id, recipe(light), 3)
    await settle()
    const looks = async () =>
      (await reader('renditions').where({ evidenceId: id, kind: 'screen' })).map((row) => row.recipeRevision)
    expect((await looks()).sort()).toEqual([0, 4])
    const saved = async () => (await reader('pictureRecipes')).map((row) => row.revision)
    const { services } = site
    expect(await saved()).toHaveLength(4)
    for (let day = 0; day <= 32; day += 1) {
      const clock = shiftedClock(new Date(Date.parse(TEST_START) + day * 86_400_000).toISOString())
      await sweep({ ...services, database: { ...services.database, clock } })
    }
    expect(await saved()).toEqual([4])
  })

  onSqlite('conceal at once wherever they are published, while all else waits for publishing', async () => {
    const { wren, as, add, save, settle, publish, school } = await start()
    const id = await add('sheet.jpg', await makePicture())
    const page = (await wren.post('/api/pages', { title: 'Sheet', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('map', { id, kind: 'picture' }), alternativeText: 'A sheet' }
    const operations = [
      addTextRow('t', 'x'),
      { op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: 'row-t' },
    ]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    await publish(wren, page, 2)
    await give(wren, page, { kind: 'person', personId: school.people.tomasz })
    const tomasz = await as('tomasz')
    const screen = `/api/pages/${page}/published/1/pieces/map/screen`
    const plain = await colourAt(wren, screen, 0.25, 0.25)
    await save(id, recipe(light))
    await settle()
    expect(await colourAt(wren, screen, 0.25, 0.25)).toEqual(plain)
    await save(id, recipe(light, conceal), 1)
    // Before the new picture is made the old one is gone for others.
    expect((await wren.get(screen)).status).toBe(404)
    await settle()
    expect(await colourAt(wren, screen, 0.25, 0.25)).toEqual(covered)
    expect(await colourAt(wren, screen, 0.9, 0.9)).toEqual(plain)
    // Showing it again waits for publishing, too.
    await save(id, recipe(light), 2)
    await settle()
    expect(await colourAt(wren, screen, 0.25, 0.25)).toEqual(covered)
    expect((await tomasz.get(`/api/evidence/${id}`)).status).toBe(404)
  })

  onSqlite('carry the marks that were put on them, in the place where they were put', async () => {
    const { wren, add, save, settle, at } = await start()
    const id = await add('sheet.jpg', await makePicture({ width: 800, height: 600 }))
    const line: Mark = { id: 'a', kind: 'line', from: [200, 150], to: [600, 150], colour: 'sheet', width: 60 }
    const marks: RecipeStep = { kind: 'mark', on: true, marks: [line] }
    await save(id, recipe(turn, marks))
    await settle()
    const white = [250, 250, 250]
    expect(await colourAt(wren, `${at(id)}/screen`, 0.75, 0.5)).toEqual(white)
    expect(await colourAt(wren, `${at(id)}/screen`, 0.25, 0.5)).not.toEqual(white)
    await save(id, recipe(turn, { ...marks, on: false }), 1)
    await settle()
    expect(await colourAt(wren, `${at(id)}/screen`, 0.75, 0.5)).not.toEqual(white)
  })

  onSqlite('tell on pages what their numbers show, once they are published', async () => {
    const { wren, add, save, settle, publish } = await start()
    const id = await add('sheet.jpg', await makePicture())
    const page = (await wren.post('/api/pages', { title: 'Sheet', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('map', { id, kind: 'picture' }), alternativeText: 'A sheet' }
    const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    await publish(wren, page, 2)
    const pin = (words: string): Mark => ({ id: words, kind: 'pin', at: [9, 9], region: null, note: words })
    await save(id, recipe({ kind: 'mark', on: true, marks: [pin('A <crab>'), pin('Its hole')] }))
    await settle()
    expect((await wren.get(`/api/pages/${page}/published`)).body.html).not.toContain('hole')
    await publish(wren, page, 2)
    const { html } = (await wren.get(`/api/pages/${page}/published`)).body
    expect(html).toContain('<ol class="pins"><li>A &lt;crab&gt;</li><li>Its hole</li></ol>')
  })

  onSqlite('stay concealed in a version that is made the newest again', async () => {
    const { wren, add, save, settle, at } = await start()
    const id = await add('sheet.jpg', await makePicture())
    await save(id, recipe(turn, conceal))
    await settle()
    await upload(wren, { name: 'other.jpg', content: await makePicture({ colour: '#336699' }), replaces: id })
    await settle()
    const { revision } = (await wren.get(`/api/evidence/${id}`)).body
    expect(
      (await wren.post(`/api/evidence/${id}/versions`, { from: 1 }, { 'if-match': `"r${revision}"` })).status,
    ).toBe(201)
    await settle()
    expect((await wren.get(`${at(id, 3)}/recipe`)).body).toMatchObject({
      revision: 1,
      original: { width: 640, height: 480 },
    })
    expect(await colourAt(wren, `${at(id, 3)}/screen`, 0.75, 0.25)).toEqual(covered)
  })

  onSqlite(
    'never give their original, or where it was taken, to anybody but their owner, on any route and in any copy',
    async () => {
      const { site, wren, odalys, as, settle, publish, school, save } = await start()
      const content = await makePicture({ camera: true })
      const { body } = await upload(wren, { name: 'sheet.jpg', content })
      const id = body.outcome.evidenceId as string
      await settle()
      await save(id, recipe(conceal))
      await settle()
      const page = (await wren.post('/api/pages', { title: 'Sheet', lang: 'en' })).body.id as string
      const asFile = { ...newEvidencePiece('file', { id, kind: 'file' }), isOffered: true }
      const asPicture = { ...newEvidencePiece('map', { id, kind: 'picture' }), alternativeText: 'A sheet' }
      const row = (piece: typeof asFile | typeof asPicture) => ({
        op: 'insert-row' as const,
        row: { id: `row-${piece.id}`, pieces: [piece] },
        after: null,
      })
      await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations: [row(asFile), row(asPicture)] })
      expect((await publish(wren, page, 2)).status).toBe(201)
      const pass = await give(wren, page, { kind: 'link', name: 'Visitors' })
      const assignment = await setAssignment(odalys, school.classes.methods)
      const submission = await handInSealed(site, wren, assignment, [
        { kind: 'page', id: page },
        { kind: 'evidence', id },
      ])
      await odalys.post(`/api/submissions/${submission}/open`)
      const visitor = site.browser()
      await visitor.get(pass.body.address)
      const sealed = await site.services.database
        .reader()
        .sql('sealedFiles')
        .where({ submissionId: submission })
      const others = [odalys, await as('tomasz'), visitor]
      let files = 0
      for (const path of await everyAddress(wren)) {
        for (const other of others) {
          const answer = await other.get(path)
          if (answer.status !== 200) continue
          if (answer.headers.get('content-type') === 'image/webp') files += 1
          expect([path, holds(answer.bytes, content)]).toEqual([path, false])
        }
      }
      expect(files).toBeGreaterThan(2)
      // Its owner gets all of it.
      expect((await wren.get(`/api/evidence/${id}/versions/1/file`)).bytes.equals(content)).toBe(true)

      /** All addresses that only read, with everything put in for their parameters that could lead to the picture. */
      async function everyAddress(browser: TestBrowser): Promise<string[]> {
        const { paths } = (await browser.get('/api/openapi.json')).body
        const reading = Object.entries<Record<string, unknown>>(paths).filter(
          ([, methods]) => 'get' in methods,
        )
        return reading.flatMap(([path]) => fill(path))
      }
      function fill(path: string): string[] {
        const name = path.match(/\{(\w+)\}/)?.[1]
        if (name === undefined) return [path]
        const values: Record<string, readonly string[]> = {
          n: ['1'],
          kind: ['screen', 'thumbnail'],
          piece: ['map', 'file'],
          handOut: ['screen', 'file'],
          file: sealed.map((row) => encodeURIComponent(row.path.replace('files/', ''))),
        }
        const all = values[name] ?? [id, page, submission, assignment]
        return all.flatMap((value) => fill(path.replace(`{${name}}`, value)))
      }
      /** Whether the answer holds a stretch of the original's own bytes, or the place that its camera wrote down. */
      function holds(bytes: Buffer, original: Buffer): boolean {
        const stretches = [0.3, 0.6, 0.9].map((fraction) =>
          original.subarray(Math.floor(original.length * fraction)).subarray(0, 40),
        )
        return stretches.some((stretch) => bytes.includes(stretch)) || bytes.includes('Exif')
      }
    },
  )

  onSqlite('say what has to be mended in a recipe, and leave the picture as it was', async () => {
    const { wren, add, save, at } = await start()
    const id = await add('sheet.jpg', await makePicture())
    const square = (...places: [number, number][]) =>
      recipe({ kind: 'square', on: true, corners: places as never, proportions: 'estimated', byHand: 4 })
    const refusals: [unknown, number, string][] = [
      [square([0.1, 0.1], [0.9, 0.9], [0.9, 0.1], [0.1, 0.9]), 422, 'corners-crossing'],
      [square([0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.9]), 422, 'corners-in-a-line'],
      [square([0.1, 0.1], [0.1, 0.1], [0.9, 0.9], [0.1, 0.9]), 422, 'corners-too-near'],
      [
        recipe({ kind: 'crop', on: true, shape: 'free', box: { x: 0, y: 0, width: 0.001, height: 1 } }),
        422,
        'crop-too-small',
      ],
      [recipe(turn, turn), 422, 'invalid-input'],
      [{ schema: 2, steps: [] }, 422, 'invalid-input'],
    ]
    for (const [wrong, status, reason] of refusals) {
      const answer = await save(id, wrong)
      expect([answer.status, answer.body.reason]).toEqual([status, reason])
    }
    expect((await wren.get(`${at(id)}/recipe`)).body.revision).toBe(0)
    const note = await add('note.txt', Buffer.from('no picture'))
    expect((await save(note, recipe(turn))).body.reason).toBe('not-a-picture')
    const broken = await add('half.jpg', (await makePicture({ colour: '#123456' })).subarray(0, 90))
    expect((await save(broken, recipe(turn))).body.reason).toBe('picture-unreadable')
  })

  onSqlite('can still be put right after their renditions could not be made', async () => {
    const { site, add, save, settle, wren, at } = await start()
    const id = await add('sheet.jpg', await makePicture())
    await save(id, recipe(turn))
    await giveUpRecipe(site.services, { id, n: 1 }, 1)
    expect((await wren.get(`${at(id)}/screen`)).status).toBe(200)
    expect((await save(id, recipe(light), 1)).status).toBe(200)
    await settle()
    expect((await wren.get(`${at(id)}/recipe`)).body).toMatchObject({ revision: 2, isMade: true })
  })

  it('are not touched by a recipe that a newer Valise wrote', async () => {
    const { site, wren, add, save, at, settle } = await start()
    const id = await add('sheet.jpg', await makePicture())
    await save(id, recipe(turn))
    await settle()
    await site.services.database
      .writer('pictureRecipes')
      .update({ recipe: JSON.stringify({ schema: 9, steps: [] }) })
    expect((await wren.get(`${at(id)}/recipe`)).body).toMatchObject({ reason: 'recipe-newer' })
    expect((await save(id, EMPTY_RECIPE, 1)).body).toMatchObject({ reason: 'recipe-newer' })
    expect((await wren.get(`${at(id)}/screen`)).status).toBe(200)
  })

  onSqlite('come in any size and with any samples', async () => {
    const { wren, add, save, settle } = await start()
    const plain = (width: number, height: number) =>
      sharp({ create: { width, height, channels: 3, background: '#c08040' } })
    const frames = Array.from({ length: 2 }, (_, n) => ({
      create: {
        width: 60,
        height: 40,
        channels: 4 as const,
        background: { r: 200 * n, g: 90, b: 60, alpha: 1 },
      },
    }))
    const pictures: Record<string, Buffer> = {
      'one.png': await plain(1, 1).png().toBuffer(),
      'deep.png': await plain(50, 40).toColourspace('rgb16').png().toBuffer(),
      'print.jpg': await plain(70, 40).toColourspace('cmyk').jpeg().toBuffer(),
      'clear.png': await sharp({ create: { width: 80, height: 40, channels: 4, background: '#00000000' } })
        .png()
        .toBuffer(),
      'grey.png': await plain(90, 40).greyscale().png().toBuffer(),
      'moving.gif': await sharp(frames as never, { join: { animated: true } })
        .gif()
        .toBuffer(),
      'vast.png': await plain(12_000, 12_000).png({ compressionLevel: 1 }).toBuffer(),
    }
    for (const [name, content] of Object.entries(pictures)) {
      const id = await add(name, content)
      expect([name, (await save(id, recipe(turn, light))).status]).toEqual([name, 200])
      await settle()
      const { version } = (await wren.get(`/api/evidence/${id}`)).body
      expect([name, version.preview, version.renderRevision]).toEqual([name, 'there', 1])
    }
  })
})
