// Steps that are done again only where what they are made from has changed.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './run.mjs'

/**
 * Does a step unless it was done for these very files and what it made is still there; one that fails is not done.
 *
 * @param {{ step: string, files: string[], made: string }} step its name, the files it depends on, what it makes
 * @param {() => Promise<void>} act
 */
export async function doWhereChanged({ step, files, made }, act) {
  const state = digest(files.map((path) => `${path} ${statSync(path).mtimeMs} ${statSync(path).size}`))
  if (existsSync(made) && isDone(step, state)) return
  await act()
  markDone(step, state)
}

/** All files below a folder but what was built or installed. */
export function filesIn(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (['dist', 'node_modules'].includes(entry.name)) return []
    const path = join(folder, entry.name)
    return entry.isDirectory() ? filesIn(path) : [path]
  })
}

export function digest(parts) {
  const hash = createHash('sha256')
  for (const text of parts) hash.update(text)
  return hash.digest('hex')
}

const markOf = (step) => join(root, 'node_modules/.valise/done', step)

export function isDone(step, state) {
  return existsSync(markOf(step)) && readFileSync(markOf(step), 'utf8') === state
}

export function markDone(step, state) {
  mkdirSync(join(root, 'node_modules/.valise/done'), { recursive: true })
  writeFileSync(markOf(step), state)
}
