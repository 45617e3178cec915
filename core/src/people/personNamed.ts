// A person of whom only the name is known.
import type { PersonInput } from './schema.ts'

/** Makes the input for a new person from a full name: signs in with the first name, is staff, speaks English. */
export function personNamed(fullName: string, more: Partial<PersonInput> = {}): PersonInput {
  const firstName = fullName.trim().split(/\s+/u)[0] ?? fullName
  return {
    fullName,
    firstName,
    chosenName: null,
    signInName: firstName.toLowerCase(),
    email: null,
    language: 'en',
    administrator: false,
    yearGroupId: null,
    ...more,
  }
}
