// Checks the types of all that is written, two programs at a time: each check keeps one core busy.
import { runChecks, typeChecks } from './lib/checks.mjs'

const { failed } = await runChecks(typeChecks)
process.exitCode = failed === 0 ? 0 : 1
