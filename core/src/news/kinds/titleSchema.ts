// The title of an assignment in all of its languages, so that everybody reads news in theirs.
import { localizedSchema } from '../../people/index.ts'

export const titleSchema = localizedSchema(Number.MAX_SAFE_INTEGER)
