// Sign-in links: one-time links with which somebody chooses a (new) password.
import { AppError } from '@valise/core/problems'
import { signInLinkMinutes, toSignInKey, unknownActor } from '@valise/core/people'
import type { Actor, Language, MySession, SignInLink } from '@valise/core/people'
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { bucketOf, countTry } from '../http/index.ts'
import type { Client } from '../http/index.ts'
import { hashToken, newToken } from '../system/index.ts'
import { appendRecord } from '../records/index.ts'
import type { PeopleServices } from './services.ts'
import { getSchool } from './schoolStore.ts'
import { getPerson } from './service.ts'
import { assertGoodPassword, setPassword, startSession } from './sessionService.ts'
import * as store from './sessionStore.ts'

/**
 * Makes a sign-in link for a person, as an administrator.
 *
 * It is sent by mail where possible; only otherwise is it shown to the administrator.
 */
export async function makeSignInLink(
  services: PeopleServices,
  actor: Actor,
  personId: string,
): Promise<SignInLink> {
  const token = newToken()
  const { person, until } = await inTransaction(services.database, async (trx) => {
    const person = await getPerson(trx, personId)
    if (person.endedAt !== null) throw new AppError('conflict', 'person-ended')
    const until = addMinutes(trx.now, signInLinkMinutes.administrator)
    await store.insertSignInLink(trx, hashToken(token), personId, until)
    await appendRecord(trx, actor, { action: 'sign-in-link-made', subject: 'person', subjectId: personId })
    return { person, until }
  })
  const address = addressOf(services, token)
  if (person.email === null || !services.mail.canSend) return { address, until }
  const school = await getSchool(services.database.reader())
  await services.mail.send({
    to: person.email,
    ...wordsOf(person.language, person.firstName, school.name, address),
  })
  return { address: null, until }
}

/** A letter each now and then, so that nobody's letterbox is filled. */
const mailLimits = { firstWaitMinutes: 15, longestWaitMinutes: 60, minutes: 60 }

/** Sends a link for a forgotten password. The answer is the same whether or not the person exists. */
export async function sendForgottenLink(
  services: PeopleServices,
  reader: Reader,
  client: Client,
  signInName: string,
): Promise<void> {
  const key = toSignInKey(signInName)
  const limits = [
    { ...mailLimits, bucket: bucketOf(services.keys, 'forgotten-account', key), free: 3 },
    { ...mailLimits, bucket: bucketOf(services.keys, 'forgotten-address', client.address), free: 60 },
  ]
  await countTry(services.database, limits)
  const person = await store.findSignInPerson(reader, { signInKey: key })
  if (!person || person.endedAt !== null || person.email === null || !services.mail.canSend) return
  const token = newToken()
  await inTransaction(services.database, async (trx) => {
    await store.insertSignInLink(
      trx,
      hashToken(token),
      person.id,
      addMinutes(trx.now, signInLinkMinutes.self),
    )
    await appendRecord(trx, unknownActor, {
      action: 'sign-in-link-made',
      subject: 'person',
      subjectId: person.id,
    })
  })
  const school = await getSchool(reader)
  const words = wordsOf(person.language, person.firstName, school.name, addressOf(services, token))
  // Not awaited by the answer: how long sending takes would tell whether the person exists.
  void services.mail
    .send({ to: person.email, ...words })
    .catch((error: unknown) => services.log.failed('mail', error))
}

/** Redeems a link: saves the chosen password and signs the person in. */
export async function choosePassword(
  services: PeopleServices,
  reader: Reader,
  client: Client,
  input: { readonly token: string; readonly password: string },
): Promise<MySession> {
  const tokenHash = hashToken(input.token)
  const link = await store.findSignInLink(reader, tokenHash)
  const person = link && (await store.findSignInPerson(reader, { id: link.personId }))
  if (!person || person.endedAt !== null) throw new AppError('gone', 'sign-in-link-gone')
  assertGoodPassword(person, input.password, '/password')
  const hash = await services.passwords.hash(input.password)
  await inTransaction(services.database, async (trx) => {
    if (!(await store.useSignInLink(trx, tokenHash))) throw new AppError('gone', 'sign-in-link-gone')
    await setPassword(trx, unknownActor, person.id, hash, null)
  })
  return startSession(services, client, person.id)
}

/** The token stands behind the # sign, which browsers keep to themselves: it reaches no log and no referrer. */
function addressOf(services: PeopleServices, token: string): string {
  return `${services.config.publicAddress}/choose-password#${token}`
}

function wordsOf(language: Language, firstName: string, school: string, address: string) {
  return language === 'es'
    ? {
        subject: `Elige tu contraseña para ${school}`,
        text: `Hola, ${firstName}:\n\nabre este enlace para elegir tu contraseña. Vale una sola vez.\n\n${address}\n\nSi no lo has pedido tú, no hagas nada: tu contraseña no cambia.\n`,
      }
    : {
        subject: `Choose your password for ${school}`,
        text: `Hello ${firstName},\n\nOpen this link to choose your password. It works once.\n\n${address}\n\nIf you did not ask for this, do nothing. Your password does not change.\n`,
      }
}
