// The server's own sentences, fetched with the first screen that may need one.
import { fieldSentences, reasonSentences } from '@valise/core/problems'

export const problems = { reasons: reasonSentences, fields: fieldSentences }
