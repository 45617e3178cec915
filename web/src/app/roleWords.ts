// What somebody is, in the class in view: the line under their name.
import type { SignedIn } from '@valise/core/people'
import type { TFunction } from 'i18next'

export function roleWords(t: TFunction, session: Pick<SignedIn, 'administrator' | 'memberships'>): string {
  const [membership] = session.memberships
  if (membership) return t(`person.${membership.role}`, { class: membership.className })
  return session.administrator ? t('person.administrator') : t('person.none')
}
