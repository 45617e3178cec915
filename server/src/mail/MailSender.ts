// Sends messages over SMTP, where the school has given a mail server.

export interface Message {
  readonly to: string
  readonly subject: string
  readonly text: string
}

export interface MailSender {
  /** Whether messages can be sent at all; where not, links are handed over by a person. */
  readonly canSend: boolean
  send(message: Message): Promise<void>
}

export interface MailSettings {
  /** `smtp://…` of the mail server, or null where messages cannot be sent. */
  readonly mail: string | null
  readonly publicAddress: string
}

export function makeMailSender(config: MailSettings): MailSender {
  const { mail } = config
  if (mail === null) {
    return { canSend: false, send: () => Promise.reject(new Error('no mail server is set')) }
  }
  return {
    canSend: true,
    send: async (message) => {
      // Loaded with the first message: few requests send one.
      const { createTransport } = await import('nodemailer')
      const host = new URL(config.publicAddress).hostname
      await createTransport(mail).sendMail({ from: `Valise <valise@${host}>`, ...message })
    },
  }
}
