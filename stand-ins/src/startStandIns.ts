// Starts all stand-ins: their pages on one port, the mail room's mail on another.
import { serve } from '@hono/node-server'
import { Hono } from 'hono'
import { html } from 'hono/html'
import { makeDrive } from './drive/drive.ts'
import { openMailRoom } from './mail-room/MailRoom.ts'
import { mailRoomPage } from './mail-room/mailRoomPage.ts'
import { drawShelfPictures } from './picture-shelf/drawShelfPicture.ts'
import { makeShelf, shelfPictureNames } from './picture-shelf/shelf.ts'
import { standInPage, standInStyle } from './standInPage.ts'
import { madeUpHosts, makeWeb, webPictureNames } from './web/sites.ts'
import type { MadeUpHost } from './web/sites.ts'

export interface StandInOptions {
  /** Of the pages, and the next one of the mail; 0 takes free ones. */
  readonly port: number
  /** What the made-up film house plays. */
  readonly film: URL
  /** The moment of the sample world, at which documents of the drive are written. */
  readonly now: () => string
}

export interface StandIns {
  /** Where all of them can be looked at. */
  readonly address: string
  /** Where the simulated mail can be read. */
  readonly mailRoomAddress: string
  /** The mail server that Valise is given, as an address. */
  readonly mailAddress: string
  readonly driveAddress: string
  readonly shelfAddress: string
  /** The sites of the made-up web whose films and tools may stand in a frame. */
  readonly mediaHosts: readonly MadeUpHost[]
  close(): Promise<void>
}

export async function startStandIns({ port, film, now }: StandInOptions): Promise<StandIns> {
  const mailRoom = await openMailRoom(port === 0 ? 0 : port + 1)
  await drawShelfPictures([...shelfPictureNames, ...webPictureNames])
  const app = new Hono()
  app.get('/', (c) => c.html(overview()))
  app.get('/mail', (c) => c.html(mailRoomPage(mailRoom.letters())))
  app.get('/stand-ins.css', (c) => c.body(String(standInStyle), 200, { 'content-type': 'text/css' }))
  app.route('/web', makeWeb(film))
  app.route('/drive', makeDrive(now))
  app.route('/shelf', makeShelf())
  return new Promise((resolve, reject) => {
    const server = serve({ fetch: app.fetch, hostname: '127.0.0.1', port }, (listening) => {
      const address = `http://127.0.0.1:${listening.port}`
      resolve({
        address,
        mailRoomAddress: `${address}/mail`,
        mailAddress: `smtp://127.0.0.1:${mailRoom.port}`,
        driveAddress: `${address}/drive/api`,
        shelfAddress: `${address}/shelf/api`,
        mediaHosts: madeUpHosts(address),
        close: async () => {
          await mailRoom.close()
          await new Promise((done) => server.close(done))
        },
      })
    })
    server.on('error', reject)
  })
}

function overview() {
  const places = [
    ['/mail', 'Mail room: every message that Valise would send'],
    ['/drive', 'Shared drive: documents that change'],
    ['/shelf', 'Picture shelf: licensed pictures, and reports'],
    ['/web', 'The made-up web: sites that links can lead to'],
  ]
  return standInPage(
    'Simulated services',
    html`<h1>Simulated services</h1>
      <ul>
        ${places.map(([path, name]) => html`<li><a href="${path}">${name}</a></li>`)}
      </ul>`,
  )
}
