// The class that labels what is added now: the first one that somebody studies in.
import { useSession } from '../../session/index.ts'

export function useClassInView(): string | null {
  const { memberships } = useSession()
  return memberships.find(({ role }) => role === 'student')?.classId ?? null
}
