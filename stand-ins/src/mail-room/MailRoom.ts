// The mail room: takes over SMTP every message that Valise would send, and keeps the last of them to be read.
import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

export interface Letter {
  readonly number: number
  readonly to: string
  readonly subject: string
  readonly text: string
  readonly at: Date
}

const MOST_KEPT = 200

export interface MailRoom {
  /** What came in, newest first. */
  letters(): readonly Letter[]
  /** The port on which mail is taken. */
  readonly port: number
  close(): Promise<void>
}

/** Opens the mail room on a local port; 0 takes a free one. */
export function openMailRoom(port: number): Promise<MailRoom> {
  const letters: Letter[] = []
  let count = 0
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    size: 10_000_000,
    onData: (stream, _session, done) => {
      simpleParser(stream).then(
        (mail) => {
          const to = Array.isArray(mail.to)
            ? mail.to.map(({ text }) => text).join(', ')
            : (mail.to?.text ?? '')
          count += 1
          letters.unshift({
            number: count,
            to,
            subject: mail.subject ?? '',
            text: mail.text ?? '',
            at: new Date(),
          })
          letters.splice(MOST_KEPT)
          done()
        },
        (error: Error) => done(error),
      )
    },
  })
  return new Promise((resolve, reject) => {
    server.on('error', reject)
    const listening = server.listen(port, '127.0.0.1', () => {
      const address = listening.address()
      resolve({
        letters: () => letters,
        port: typeof address === 'object' && address !== null ? address.port : port,
        close: () => new Promise((done) => server.close(done)),
      })
    })
  })
}
