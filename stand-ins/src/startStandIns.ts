// Starts all stand-ins: their pages on one port, the mail room's mail on another.
import { serve } from '@hono/node-server'
import { Hono } from 'hono'
import { openMailRoom } from './mail-room/MailRoom.ts'
import { mailRoomPage, standInStyle } from './mail-room/mailRoomPage.ts'

export interface StandIns {
  /** Where the simulated mail can be read. */
  readonly mailRoomAddress: string
  /** The mail server that Valise is given, as an address. */
  readonly mailAddress: string
  close(): Promise<void>
}

/** @param port of the pages, and the next one of the mail; 0 takes free ones */
export async function startStandIns(port: number): Promise<StandIns> {
  const mailRoom = await openMailRoom(port === 0 ? 0 : port + 1)
  const app = new Hono()
  app.get('/', (c) => c.redirect('/mail'))
  app.get('/mail', (c) => c.html(mailRoomPage(mailRoom.letters())))
  app.get('/stand-ins.css', (c) => c.body(String(standInStyle), 200, { 'content-type': 'text/css' }))
  return new Promise((resolve, reject) => {
    const server = serve({ fetch: app.fetch, hostname: '127.0.0.1', port }, (address) => {
      resolve({
        mailRoomAddress: `http://127.0.0.1:${address.port}/mail`,
        mailAddress: `smtp://127.0.0.1:${mailRoom.port}`,
        close: async () => {
          await mailRoom.close()
          await new Promise((done) => server.close(done))
        },
      })
    })
    server.on('error', reject)
  })
}
