// English.
import app from './app.json'
import classes from './classes.json'
import evidence from './evidence.json'
import feedback from './feedback.json'
import people from './people.json'
import { fieldSentences, reasonSentences } from '@valise/core/problems'
import records from './records.json'
import today from './today.json'

/** The server's own sentences, and the one for when it cannot be reached. */
const problems = {
  reasons: {
    ...reasonSentences,
    unreachable: 'There is no connection just now. What was kept is safe; try again when you are on-line.',
  },
  fields: fieldSentences,
}

export const en = { app, classes, evidence, feedback, people, problems, records, today }
