// Whether a new password will do. After NIST SP 800-63B, 5.1.1.2: length and known-bad lists, no composition rules.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import { foldText } from './names.ts'

/** The fewest characters (Unicode code points) of a password. */
export const LEAST_PASSWORD_LENGTH = 10

/** Parts that the most tried passwords consist of; one that is nothing but these and digits is refused. */
const COMMON_PARTS = [
  'password', 'passwort', 'contrasena', 'clave', 'qwerty', 'qwertz', 'azerty', 'asdfgh', 'letmein', 'welcome',
  'bienvenido', 'iloveyou', 'teamo', 'admin', 'secret', 'secreto', 'dragon', 'monkey', 'football', 'futbol',
  'sunshine', 'princess', 'school', 'escuela', 'student', 'valise', 'abc', 'test', 'master', 'login', 'hello', 'hola',
] // prettier-ignore

/**
 * Decides whether a person with these names may use a password.
 *
 * Refuses short passwords, passwords that consist only of common words, digits and repetitions, and passwords that
 * contain a name of the person of four or more letters.
 */
export function decidePassword(password: string, names: readonly string[]): Decision {
  if ([...password].length < LEAST_PASSWORD_LENGTH)
    return no('password-short', { least: LEAST_PASSWORD_LENGTH })
  const folded = foldText(password)
  if (isCommon(folded)) return no('password-common')
  const parts = names
    .flatMap((name) => foldText(name).split(/[\s@.\-_]+/u))
    .filter((word) => word.length >= 4)
  return parts.some((word) => folded.includes(word)) ? no('password-like-name') : yes
}

/** Common is what consists of three signs at most, or of much-tried parts with fewer than three letters besides. */
function isCommon(folded: string): boolean {
  if (new Set(folded).size <= 3) return true
  const rest = COMMON_PARTS.reduce((text, word) => text.replaceAll(word, ''), folded)
  return (rest.match(/\p{Letter}/gu) ?? []).length < 3
}
