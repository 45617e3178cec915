// Lists and limits of evidence; apart from the schemas, so that the web gets no validator with them.

/** The kinds that come in as a file. */
export const evidenceKinds = ['picture', 'video', 'audio', 'data-table', 'file'] as const
export type EvidenceKind = (typeof evidenceKinds)[number]

/** Small pictures made of a version. `thumbnail` is for grids and the tray, `screen` for looking at. */
export const renditionKinds = ['thumbnail', 'screen'] as const
export type RenditionKind = (typeof renditionKinds)[number]

/** Whether a version can be shown: not yet, yes, or not at all. */
export const previewStates = ['making', 'there', 'none'] as const
export type PreviewState = (typeof previewStates)[number]

/** Why there is no preview of something that says it is a picture. */
export const previewProblems = ['picture-too-large', 'picture-damaged', 'picture-not-shown'] as const
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

export const LONGEST_TITLE = 200
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
