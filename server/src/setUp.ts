// Sets up a school in an empty data folder and prints the link with which its administrator chooses a password.
import { parseArgs } from 'node:util'
import { AppError } from '@valise/core/problems'
import { personNamed, systemActor } from '@valise/core/people'
import { readConfig } from './config.ts'
import { makeSignInLink, setUpSchool, usualYearGroups } from './people/index.ts'
import type { Services } from './services.ts'
import { closeServices, openServices, StartError } from './start.ts'

const USAGE = `npm run set-up -- --school NAME --administrator "FIRST AND FAMILY NAME" --sign-in NAME [--zone Europe/Lisbon] [--language en|es]`

const { values } = parseArgs({
  options: {
    school: { type: 'string' },
    administrator: { type: 'string' },
    'sign-in': { type: 'string' },
    zone: { type: 'string', default: 'Europe/Lisbon' },
    language: { type: 'string', default: 'en' },
  },
})

try {
  const { school, administrator, zone } = values
  const signInName = values['sign-in']
  const language = values.language === 'es' ? 'es' : 'en'
  if (!school || !administrator || !signInName) throw new StartError(USAGE)
  if (!isZone(zone)) throw new StartError(`${zone} is no time zone. Give one such as Europe/Lisbon.`)
  const services = await openServices(readConfig(process.env), false)
  try {
    await setUp(services, { school, administrator, signInName, zone, language })
  } finally {
    await closeServices(services)
  }
} catch (error) {
  if (!(error instanceof StartError || error instanceof AppError)) throw error
  process.stderr.write(`${error.message}\n`)
  process.exitCode = 1
}

interface Wishes {
  readonly school: string
  readonly administrator: string
  readonly signInName: string
  readonly zone: string
  readonly language: 'en' | 'es'
}

async function setUp(services: Services, wishes: Wishes): Promise<void> {
  const { school, administrator, signInName, zone, language } = wishes
  const { administratorId } = await setUpSchool(services.database, {
    school: { name: school, timeZone: zone, language },
    yearGroups: usualYearGroups,
    administrator: personNamed(administrator, { signInName, language, administrator: true }),
  })
  const link = await makeSignInLink(services, systemActor('set-up'), administratorId)
  process.stdout.write(
    `${school} is set up. Start Valise with npm start, then choose a password here:\n${link.address}\n`,
  )
}

function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).format() !== ''
  } catch {
    return false
  }
}
