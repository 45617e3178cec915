// The kinds of background work on the ways in.
export const FOLLOW_DOCUMENT = 'follow-document'
