// English, as every screen needs it. What single screens say comes with them.
import app from './app.json'
import feedback from './feedback.json'
import { fieldSentences, reasonSentences } from '@valise/core/problems'
import things from './things.json'
import today from './today.json'

/** The server's own sentences, and the one for when it cannot be reached. */
const problems = {
  reasons: {
    ...reasonSentences,
    unreachable: 'There is no connection just now. What was kept is safe; try again when you are on-line.',
  },
  fields: fieldSentences,
}

export const en = { app, feedback, problems, things, today }
