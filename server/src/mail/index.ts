// Messages by mail, over SMTP; in the demo a simulated mail room takes them.
export { makeMailSender } from './MailSender.ts'
export type { MailSender, MailSettings, Message } from './MailSender.ts'
