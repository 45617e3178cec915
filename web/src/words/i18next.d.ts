// Makes every key that a screen asks for a type error unless the English words have it.
import 'i18next'
import type { en } from './en/index.ts'

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'app'
    resources: typeof en
  }
}
