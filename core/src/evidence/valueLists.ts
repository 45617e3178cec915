// Lists and limits of evidence; apart from the schemas, so that the web gets no validator with them.

/** What an item can be. All but links and notes come in as a file; a document of the shared drive is a file. */
export const evidenceKinds = [
  'picture',
  'collage',
  'video',
  'audio',
  'data-table',
  'file',
  'link',
  'note',
] as const
export type EvidenceKind = (typeof evidenceKinds)[number]

/** Small pictures made of a version. `thumbnail` is for grids and the tray, `screen` for looking at. */
export const renditionKinds = ['thumbnail', 'screen'] as const
export type RenditionKind = (typeof renditionKinds)[number]

/** Whether a version can be shown: not yet, yes, or not at all. */
export const previewStates = ['making', 'there', 'none'] as const
export type PreviewState = (typeof previewStates)[number]

/** Why something cannot be shown, or only in part. */
export const previewProblems = [
  'picture-too-large',
  'picture-damaged',
  'picture-not-shown',
  'document-damaged',
  'document-locked',
  'document-too-large',
] as const
export type PreviewProblem = (typeof previewProblems)[number]

/** Licences that can be named, each with the address of its text where it has one. */
export const licences = {
  'cc-by-4.0': { name: 'CC BY 4.0', address: 'https://creativecommons.org/licenses/by/4.0/' },
  'cc-by-sa-4.0': { name: 'CC BY-SA 4.0', address: 'https://creativecommons.org/licenses/by-sa/4.0/' },
  'cc-by-nc-4.0': { name: 'CC BY-NC 4.0', address: 'https://creativecommons.org/licenses/by-nc/4.0/' },
  'cc-by-nc-sa-4.0': {
    name: 'CC BY-NC-SA 4.0',
    address: 'https://creativecommons.org/licenses/by-nc-sa/4.0/',
  },
  'cc-by-nd-4.0': { name: 'CC BY-ND 4.0', address: 'https://creativecommons.org/licenses/by-nd/4.0/' },
  'cc0-1.0': { name: 'CC0 1.0', address: 'https://creativecommons.org/publicdomain/zero/1.0/' },
  'public-domain': { name: null, address: null },
  permission: { name: null, address: null },
} as const
export const licenceIds = [
  'cc-by-4.0',
  'cc-by-sa-4.0',
  'cc-by-nc-4.0',
  'cc-by-nc-sa-4.0',
  'cc-by-nd-4.0',
  'cc0-1.0',
  'public-domain',
  'permission',
] as const satisfies readonly (keyof typeof licences)[]
export type LicenceId = (typeof licenceIds)[number]

/** Whether the words inside a version have been looked for: to be done, found, or there is nothing to find. */
export const textStates = ['unread', 'read', 'none'] as const
export type TextState = (typeof textStates)[number]

/** What a list can be narrowed to beside its query; each with its count. */
export const evidenceMarks = ['unused', 'no-rights', 'no-alternative', 'shared', 'alike'] as const
export type EvidenceMark = (typeof evidenceMarks)[number]

export const evidenceOrders = ['latest', 'oldest', 'arrived', 'title'] as const
export type EvidenceOrder = (typeof evidenceOrders)[number]

export const LONGEST_TITLE = 200
export const LONGEST_ALTERNATIVE_TEXT = 1000
export const LONGEST_CAPTION = 500
export const LONGEST_TRANSCRIPT = 200_000
/** Characters of a document's own words that are kept for finding it again. */
/** Paragraphs, headings, items and tables that are kept of a file's words. */
export const MOST_BLOCKS_INSIDE = 5000
export const LONGEST_INSIDE = 400_000
export const LONGEST_QUERY_NAME = 80
export const MOST_SAVED_QUERIES = 50
/** How many items can be chosen at once; acts on them go in portions. */
export const MOST_CHOSEN = 10_000
export const LONGEST_STATEMENT = 20_000
export const LONGEST_TAG = 60
export const MOST_TAGS = 30
export const LONGEST_FILE_NAME = 200
/** How many things the tray holds. */
export const MOST_IN_TRAY = 100
/** How many things one act may be about. */
export const MOST_AT_ONCE = 200
/** Uploads of one person that may be open at a time. */
export const MOST_OPEN_UPLOADS = 60
/** How long an upload that stopped can be gone on with. */
export const UPLOAD_KEPT_HOURS = 72
export const BIN_KEPT_DAYS = 30
/** What a picture may claim to hold; more is a trap, or a map for a wall. */
export const MOST_PIXELS = 150_000_000

/** How long a phone lends its camera by one code. */
export const PHONE_LINK_MINUTES = 10

/** More moments than anyone points out in one recording. */
export const MOST_MOMENTS = 200
