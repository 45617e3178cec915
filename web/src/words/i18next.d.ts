// Makes every key that a screen asks for a type error unless the English words have it.
import 'i18next'
import type access from './en/access.json'
import type assignments from './en/assignments.json'
import type attributes from './en/attributes.json'
import type guides from './en/guides.json'
import type bench from './en/bench.json'
import type classes from './en/classes.json'
import type collage from './en/collage.json'
import type collections from './en/collections.json'
import type desk from './en/desk.json'
import type evidence from './en/evidence.json'
import type gather from './en/gather.json'
import type offers from './en/offers.json'
import type { en } from './en/index.ts'
import type pages from './en/pages.json'
import type people from './en/people.json'
import type ratings from './en/ratings.json'
import type { problems } from './en/problems.ts'
import type reading from './en/reading.json'
import type records from './en/records.json'
import type reflections from './en/reflections.json'
import type sheets from './en/sheets.json'
import type submissions from './en/submissions.json'

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'app'
    resources: typeof en & {
      access: typeof access
      assignments: typeof assignments
      attributes: typeof attributes
      guides: typeof guides
      bench: typeof bench
      classes: typeof classes
      collage: typeof collage
      collections: typeof collections
      desk: typeof desk
      evidence: typeof evidence
      gather: typeof gather
      offers: typeof offers
      pages: typeof pages
      people: typeof people
      ratings: typeof ratings
      problems: typeof problems
      reading: typeof reading
      records: typeof records
      reflections: typeof reflections
      sheets: typeof sheets
      submissions: typeof submissions
    }
  }
}
