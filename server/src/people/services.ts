// What the use cases on people work with.
import type { Database } from '../database/index.ts'
import type { RequestLog } from '../log/index.ts'
import type { MailSender } from '../mail/index.ts'
import type { ServerKeys } from '../system/index.ts'
import type { PasswordHasher } from './passwordHasher.ts'

export interface PeopleServices {
  readonly config: { readonly publicAddress: string }
  readonly database: Database
  readonly keys: ServerKeys
  readonly log: RequestLog
  readonly mail: MailSender
  readonly passwords: PasswordHasher
}
