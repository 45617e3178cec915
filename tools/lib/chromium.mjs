// The browsers that drive journeys and measurements: Debian's Chromium, got from its packages where it is missing.
import { existsSync } from 'node:fs'
import { userInfo } from 'node:os'
import { giveUp, hear } from './run.mjs'

/**
 * Gets a browser where it is missing and may be got.
 *
 * @param {'chromium' | 'chromium-headless-shell'} name the package, and the program in /usr/bin. The second is the same
 *   engine without a window, a third faster: journeys take it. Figures are measured in what people use.
 */
export function ensureBrowser(name) {
  const program = `/usr/bin/${name}`
  if (existsSync(program)) return
  const advice = `A browser is needed at ${program}. On Debian: apt-get install ${name}.`
  if (userInfo().uid !== 0 || !existsSync('/usr/bin/apt-get')) giveUp(advice)
  process.stdout.write(`Installing ${name} from Debian’s packages…\n`)
  hear('apt-get', ['update'])
  const quiet = { DEBIAN_FRONTEND: 'noninteractive' }
  const { status, output } = hear('apt-get', ['install', '-y', '--no-install-recommends', name], quiet)
  if (status !== 0) giveUp(`${output.slice(-1500)}\n${advice}`)
}
