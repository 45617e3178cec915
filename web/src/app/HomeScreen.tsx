// The first screen: Today, or the first place of people without Today.
import { Navigate } from 'react-router'
import { useSession } from '../session/index.ts'
import { TodayScreen } from '../today/index.ts'
import { homeOf } from './places.ts'

export function HomeScreen() {
  const home = homeOf(useSession())
  return home === '/' ? <TodayScreen /> : <Navigate to={home} replace state={{ isPutRight: true }} />
}
