// The browser that drives the journeys: Debian's Chromium, got from its packages where it is missing.
import { existsSync } from 'node:fs'
import { userInfo } from 'node:os'
import { giveUp, hear } from './run.mjs'

export const CHROMIUM = '/usr/bin/chromium'

export function ensureChromium() {
  if (existsSync(CHROMIUM)) return
  const advice = `The browser tests need Chromium at ${CHROMIUM}. On Debian: apt-get install chromium.`
  if (userInfo().uid !== 0 || !existsSync('/usr/bin/apt-get')) giveUp(advice)
  process.stdout.write('Installing Chromium from Debian’s packages…\n')
  hear('apt-get', ['update'])
  const quiet = { DEBIAN_FRONTEND: 'noninteractive' }
  const { status, output } = hear('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], quiet)
  if (status !== 0) giveUp(`${output.slice(-1500)}\n${advice}`)
}
