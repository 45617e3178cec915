// Lists and limits of evidence; apart from the schemas, so that the web gets no validator with them.

/** The kinds of items. All but links and notes are files; a document of the shared drive is a file. */
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

/** Pictures rendered from a version: `thumbnail` for grids and the tray, `screen` for viewing. */
export const renditionKinds = ['thumbnail', 'screen'] as const
export type RenditionKind = (typeof renditionKinds)[number]

/** Whether a version has a preview: not yet, yes, or none. */
export const previewStates = ['making', 'there', 'none'] as const
export type PreviewState = (typeof previewStates)[number]

/** Why a version has no preview, or an incomplete one. */
export const previewProblems = [
  'picture-too-large',
  'picture-damaged',
  'picture-not-shown',
  'document-damaged',
  'document-locked',
  'document-too-large',
] as const
export type PreviewProblem = (typeof previewProblems)[number]

/** The licences that can be chosen, with the address of their text where there is one. */
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

/** Whether the text of a version was extracted: still to do, done, or none to extract. */
export const textStates = ['unread', 'read', 'none'] as const
export type TextState = (typeof textStates)[number]

/** Filters beside the search, each with its count. */
export const evidenceMarks = ['unused', 'no-rights', 'no-alternative', 'shared', 'alike'] as const
export type EvidenceMark = (typeof evidenceMarks)[number]

export const evidenceOrders = ['latest', 'oldest', 'arrived', 'title'] as const
export type EvidenceOrder = (typeof evidenceOrders)[number]

export const LONGEST_TITLE = 200
export const LONGEST_ALTERNATIVE_TEXT = 1000
export const LONGEST_CAPTION = 500
export const LONGEST_TRANSCRIPT = 200_000
/** The most characters of a document's text that are indexed. */
/** The most blocks of extracted text that are stored per file. */
export const MOST_BLOCKS_INSIDE = 5000
export const LONGEST_INSIDE = 400_000
export const LONGEST_QUERY_NAME = 80
export const MOST_SAVED_QUERIES = 50
/** The most items that can be selected at once; bulk changes are sent in batches. */
export const MOST_CHOSEN = 10_000
export const LONGEST_TAG = 60
export const MOST_TAGS = 30
export const LONGEST_FILE_NAME = 200
/** The most items in a tray. */
export const MOST_IN_TRAY = 100
/** The most items in one bulk request. */
export const MOST_AT_ONCE = 200
/** The most open uploads of one person. */
export const MOST_OPEN_UPLOADS = 60
/** How long an interrupted upload can be resumed. */
export const UPLOAD_RESUMABLE_HOURS = 72
/** The most pixels that a picture's header may claim; more would exhaust memory. */
export const MOST_PIXELS = 150_000_000

/** How long one code lets a phone lend its camera. */
export const PHONE_LINK_MINUTES = 10

/** The most moments in one recording. */
export const MOST_MOMENTS = 200
export const LATEST_MOMENT_MS = 86_400_000
export const LONGEST_MOMENT = 200
