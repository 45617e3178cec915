import { connect } from 'node:net'
import { startStandIns } from '../index.ts'

/** Speaks SMTP by hand, line by line, as a mail server of long ago would. */
function post(port: number, lines: readonly string[]): Promise<void> {
  return new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1')
    const rest = [...lines]
    socket.on('data', () => {
      const next = rest.shift()
      if (next === undefined) socket.end()
      else socket.write(`${next}\r\n`)
    })
    socket.on('close', () => resolve())
    socket.on('error', reject)
  })
}

const letter = (subject: string, text: string) => [
  'EHLO test',
  'MAIL FROM:<valise@test.example>',
  'RCPT TO:<ada@test.example>',
  'DATA',
  `To: ada@test.example\r\nSubject: ${subject}\r\n\r\n${text}\r\n.`,
  'QUIT',
]

describe('the mail room', () => {
  it('shows what came in, newest first, as simulated, with links and without running anything', async () => {
    const standIns = await startStandIns({
      port: 0,
      film: new URL(import.meta.url),
      now: () => '2026-11-26T10:42:00.000Z',
    })
    try {
      const read = async () => (await fetch(standIns.mailRoomAddress)).text()
      expect(await read()).toContain('No messages yet')
      const port = Number(new URL(standIns.mailAddress).port)
      await post(port, letter('First', 'Hello'))
      await post(
        port,
        letter('Second', 'Open http://localhost:7400/choose-password#abc now <script>alert(1)</script>'),
      )
      const page = await read()
      expect(page).toContain('Simulated. Nothing leaves this machine.')
      expect(page.indexOf('Second')).toBeLessThan(page.indexOf('First'))
      expect(page).toContain('<a href="http://localhost:7400/choose-password#abc">')
      expect(page).toContain('&lt;script&gt;')
      expect(page).not.toContain('<script>')
    } finally {
      await standIns.close()
    }
  })
})
