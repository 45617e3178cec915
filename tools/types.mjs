// Checks the types of all that is written, two programs at a time: each check keeps one core busy.
import { runChecks, typeChecks } from './lib/checks.mjs'

const failed = (await runChecks(typeChecks)).filter(({ status }) => status !== 0)
for (const { name, output } of failed) process.stdout.write(`${name}:\n${output}\n`)
process.exitCode = failed.length === 0 ? 0 : 1
