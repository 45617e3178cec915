// Spanish.
import app from './app.json'
import classes from './classes.json'
import evidence from './evidence.json'
import feedback from './feedback.json'
import people from './people.json'
import problems from './problems.json'
import records from './records.json'
import today from './today.json'

export const es = { app, classes, evidence, feedback, people, problems, records, today }
