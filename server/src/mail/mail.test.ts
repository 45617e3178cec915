import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { makeMailSender } from './index.ts'

/** A mail server of a few lines (SMTP, RFC 5321) that records what it receives; it can refuse recipients. */
async function withMailServer(
  use: (address: string, received: () => string) => Promise<void>,
  { refuses = false } = {},
): Promise<void> {
  let received = ''
  const server = createServer((socket) => {
    let inLetter = false
    socket.write('220 post\r\n')
    socket.on('data', (data: Buffer) => {
      const text = data.toString()
      received += text
      if (inLetter) {
        if (text.endsWith('\r\n.\r\n')) inLetter = false
        else return
        return socket.write('250 kept\r\n')
      }
      if (text.startsWith('DATA')) {
        inLetter = true
        return socket.write('354 go on\r\n')
      }
      if (text.startsWith('RCPT') && refuses) return socket.write('550 nobody of that name\r\n')
      if (text.startsWith('QUIT')) return socket.end('221 bye\r\n')
      return socket.write('250 well\r\n')
    })
    socket.on('error', () => undefined)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  try {
    await use(`smtp://127.0.0.1:${(server.address() as AddressInfo).port}`, () => received)
  } finally {
    await new Promise((resolve) => server.close(resolve))
  }
}

const message = {
  to: 'wren@post.example',
  subject: 'A new password',
  text: 'Open this link.\n.\nIt opens once.',
}
const publicAddress = 'https://valise.marram.example'

describe('messages by mail', () => {
  it('go out from the address of the school, whole and as they are', async () => {
    await withMailServer(async (mail, received) => {
      const sender = makeMailSender({ mail, publicAddress })
      expect(sender.canSend).toBe(true)
      await sender.send(message)
      expect(received()).toContain('MAIL FROM:<valise@valise.marram.example>')
      expect(received()).toContain('RCPT TO:<wren@post.example>')
      expect(received()).toMatch(/^Subject: A new password\r$/m)
      // A line of one dot would end the letter, so it is doubled on its way.
      expect(received()).toContain('Open this link.\r\n..\r\nIt opens once.')
    })
  })

  it('say so where they are not taken', async () => {
    await withMailServer(
      async (mail) => {
        await expect(makeMailSender({ mail, publicAddress }).send(message)).rejects.toThrow(/550/)
      },
      { refuses: true },
    )
  })

  it('cannot be sent where the school has no mail server', async () => {
    const sender = makeMailSender({ mail: null, publicAddress })
    expect(sender.canSend).toBe(false)
    await expect(sender.send(message)).rejects.toThrow('no mail server is set')
  })
})
