// Spanish, as every screen needs it. What single screens say comes with them.
import app from './app.json'
import feedback from './feedback.json'
import things from './things.json'
import today from './today.json'
import work from './work.json'

export const es = { app, feedback, things, today, work }
