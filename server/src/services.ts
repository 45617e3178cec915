// What the use cases work with, made once at the start and handed down.
import type { Config } from './config.ts'
import type { Database } from './database/index.ts'
import type { RequestLog } from './http/index.ts'
import type { ServerKeys } from './keys.ts'
import type { MailSender } from './mail/index.ts'
import type { PasswordHasher } from './people/passwordHasher.ts'

export interface Services {
  readonly config: Config
  readonly database: Database
  readonly keys: ServerKeys
  readonly mail: MailSender
  readonly passwords: PasswordHasher
  readonly log: RequestLog
}
