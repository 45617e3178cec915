// Password hashes: argon2id, a few at a time, so that a rush of sign-ins cannot take the memory.
import { AppError } from '@valise/core/problems'

export interface PasswordHasher {
  hash(password: string): Promise<string>
  /** Also with a hash of null it takes as long as with a real one, so that time tells nothing. */
  verify(hash: string | null, password: string): Promise<boolean>
}

/** OWASP's recommendation for argon2id: 19 MiB, 2 passes, 1 lane. */
const usualCost = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const

export interface HashCost {
  readonly memoryCost: number
  readonly timeCost: number
  readonly parallelism: number
}

const MOST_AT_ONCE = 2
const MOST_IN_LINE = 60

export function makePasswordHasher(cost: HashCost = usualCost): PasswordHasher {
  const line = makeLine()
  let decoy: Promise<string> | undefined
  return {
    hash: (password) => line(async () => (await argon2()).hash(normal(password), cost)),
    verify: (hash, password) =>
      line(async () => {
        const { hash: makeHash, verify } = await argon2()
        const against = hash ?? (await (decoy ??= makeHash('nobody has this password', cost)))
        const isRight = await verify(against, normal(password))
        return hash !== null && isRight
      }),
  }
}

/** Loaded with the first password: the native part is not needed to answer anything else. */
const argon2 = () => import('@node-rs/argon2')

/** The same characters typed on another keyboard are the same password (NFKC, as NIST SP 800-63B asks). */
const normal = (password: string) => password.normalize('NFKC')

function makeLine() {
  let running = 0
  const waiting: (() => void)[] = []
  return async <T>(work: () => Promise<T>): Promise<T> => {
    if (running >= MOST_AT_ONCE) {
      if (waiting.length >= MOST_IN_LINE) throw new AppError('busy', 'busy')
      await new Promise<void>((resolve) => waiting.push(resolve))
    } else {
      running += 1
    }
    try {
      return await work()
    } finally {
      // The place goes straight to the next in line, so `running` only falls when nobody waits.
      const next = waiting.shift()
      if (next) next()
      else running -= 1
    }
  }
}
