// All migrations in order. A merged one is never edited.
import * as peopleAndClasses from './20261123060000_create_people_and_classes.ts'
import * as sessions from './20261123061000_create_sessions.ts'
import * as recordsAndNews from './20261123062000_create_records_and_news.ts'

export const migrations = [peopleAndClasses, sessions, recordsAndNews] as const
