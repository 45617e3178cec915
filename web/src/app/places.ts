// The rail as data: which places stand there for whom, in the order of the job.
import {
  IconBook2,
  IconBuildingArch,
  IconChartLine,
  IconClipboardText,
  IconDoorEnter,
  IconFileText,
  IconHistory,
  IconListDetails,
  IconListTree,
  IconPackage,
  IconPhoto,
  IconRoute,
  IconEyeglass,
  IconSeedling,
  IconSunHigh,
  IconTicket,
  IconTrash,
  IconUsers,
  IconUsersGroup,
} from '@tabler/icons-react'
import type { Icon } from '@tabler/icons-react'
import { isAssessorRole } from '@valise/core/people'
import type { SignedIn } from '@valise/core/people'
import type { PlaceName } from '../ui/place.ts'

type StopName = 'gather' | 'arrange' | 'show' | 'grow' | 'read' | 'set' | 'school'

export interface PlaceLink {
  readonly name: PlaceName
  readonly to: string
  readonly icon: Icon
}

/** A group of places in the navigation; places without a group stand above. */
export interface Stop {
  readonly name: StopName | null
  readonly places: readonly PlaceLink[]
}

const today: PlaceLink = { name: 'today', to: '/', icon: IconSunHigh }
const evidence: PlaceLink = { name: 'evidence', to: '/evidence', icon: IconPhoto }
const logbooks: PlaceLink = { name: 'logbooks', to: '/logbooks', icon: IconBook2 }
const pages: PlaceLink = { name: 'pages', to: '/pages', icon: IconFileText }
const collections: PlaceLink = { name: 'collections', to: '/collections', icon: IconListTree }
const sharing: PlaceLink = { name: 'sharing', to: '/sharing', icon: IconTicket }
const submissions: PlaceLink = { name: 'submissions', to: '/submissions', icon: IconPackage }
const desk: PlaceLink = { name: 'desk', to: '/review-desk', icon: IconEyeglass }
const assignments: PlaceLink = { name: 'assignments', to: '/assignments', icon: IconClipboardText }
const sheets: PlaceLink = { name: 'sheets', to: '/sheets', icon: IconListDetails }
const attributes: PlaceLink = { name: 'attributes', to: '/attribute-sets', icon: IconSeedling }
const guides: PlaceLink = { name: 'guides', to: '/guide-copies', icon: IconRoute }
const guidesSet: PlaceLink = { name: 'guidesSet', to: '/guides', icon: IconRoute }
const grow: PlaceLink = { name: 'grow', to: '/grow', icon: IconChartLine }
const opened: PlaceLink = { name: 'opened', to: '/shared-with-me', icon: IconDoorEnter }
const bin: PlaceLink = { name: 'bin', to: '/bin', icon: IconTrash }
const classes: PlaceLink = { name: 'classes', to: '/classes', icon: IconUsers }

/** Returns the union of what each role of a person needs, in a fixed order. */
export function placesOf(session: Pick<SignedIn, 'administrator' | 'memberships'>): Stop[] {
  const { administrator, memberships } = session
  const studies = memberships.filter(({ role }) => role === 'student')
  const isAssessor = memberships.some(({ role }) => isAssessorRole(role))
  const firstClass = studies[0]
  const hasToday = !administrator || memberships.length > 0
  return [
    {
      name: null,
      places: [
        ...(hasToday ? [today] : []),
        ...(firstClass
          ? [{ name: 'class' as const, to: `/classes/${firstClass.classId}`, icon: IconUsersGroup }]
          : []),
      ],
    },
    ...(firstClass
      ? [
          { name: 'gather' as const, places: [evidence, logbooks, guides] },
          { name: 'arrange' as const, places: [pages, collections] },
          { name: 'show' as const, places: [sharing, submissions, opened] },
          { name: 'grow' as const, places: [grow] },
        ]
      : []),
    ...(isAssessor
      ? [
          {
            name: 'read' as const,
            // An administrator finds the classes among the places of the school.
            places: [desk, ...(administrator ? [] : [classes]), ...(firstClass ? [] : [opened])],
          },
          { name: 'set' as const, places: [assignments, guidesSet, sheets, attributes] },
        ]
      : []),
    ...(administrator
      ? [
          {
            name: 'school' as const,
            places: [
              { name: 'people' as const, to: '/people', icon: IconUsersGroup },
              { name: 'classes' as const, to: '/classes', icon: IconBuildingArch },
              // An assessor finds them among what is set.
              ...(isAssessor ? [] : [attributes]),
              { name: 'records' as const, to: '/records', icon: IconHistory },
            ],
          },
        ]
      : []),
  ].filter((stop) => stop.places.length > 0)
}

/** Returns the places at the foot of the navigation. */
export function footPlacesOf(session: Pick<SignedIn, 'memberships'>): PlaceLink[] {
  return session.memberships.some(({ role }) => role === 'student') ? [bin] : []
}

/** Returns the start screen: Today, or the first place of people without Today. */
export function homeOf(session: Pick<SignedIn, 'administrator' | 'memberships'>): string {
  return placesOf(session)[0]?.places[0]?.to ?? '/'
}
