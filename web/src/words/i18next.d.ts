// Makes every key that a screen asks for a type error unless the English words have it.
import 'i18next'
import type classes from './en/classes.json'
import type evidence from './en/evidence.json'
import type { en } from './en/index.ts'
import type pages from './en/pages.json'
import type people from './en/people.json'
import type records from './en/records.json'
import type reflections from './en/reflections.json'

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'app'
    resources: typeof en & {
      classes: typeof classes
      evidence: typeof evidence
      pages: typeof pages
      people: typeof people
      records: typeof records
      reflections: typeof reflections
    }
  }
}
