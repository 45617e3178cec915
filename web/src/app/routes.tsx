// The addresses of Valise and the screens that they show; each screen is loaded when it is first opened.
import type { ComponentType } from 'react'
import type { RouteObject } from 'react-router'
import { TodayScreen } from '../today/TodayScreen.tsx'
import { Broken } from './Broken.tsx'
import { MissingScreen } from './MissingScreen.tsx'
import { needWords } from '../words/i18n.ts'
import type { ScreenWords } from '../words/i18n.ts'
import { awayUntilLoaded } from './ScreenAway.tsx'
import { SessionGate } from './SessionGate.tsx'
import { ShellOutline } from './ShellOutline.tsx'

export const routes: RouteObject[] = [
  {
    path: '/choose-password',
    errorElement: <Broken />,
    // Until the first screen's code is there, the outline of the shell stands.
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords(
      'people',
      async () => (await import('../people/ChoosePasswordScreen.tsx')).ChoosePasswordScreen,
    ),
  },
  {
    path: '/camera',
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords('gather', async () => (await import('../gather/CameraScreen.tsx')).CameraScreen),
  },
  {
    path: '/no-such-link',
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords('reading', async () => {
      await needWords('people')
      return (await import('../access/NoSuchLink.tsx')).NoSuchLink
    }),
  },
  {
    path: '/',
    element: <SessionGate />,
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    children: [
      { index: true, element: <TodayScreen /> },
      {
        path: 'evidence/:id?',
        lazy: inWords('evidence', async () => {
          await needWords('pages')
          return (await import('../evidence/EvidenceScreen.tsx')).EvidenceScreen
        }),
      },
      {
        path: 'evidence/:id/bench',
        lazy: inWords('bench', async () => {
          await Promise.all([needWords('evidence'), needWords('pages')])
          return (await import('../pictures/BenchScreen.tsx')).BenchScreen
        }),
      },
      {
        path: 'evidence/:id/collage',
        lazy: inWords('collage', async () => {
          await Promise.all([needWords('evidence'), needWords('pages'), needWords('bench')])
          return (await import('../collages/CollageScreen.tsx')).CollageScreen
        }),
      },
      {
        path: 'pages',
        lazy: inWords('pages', async () => (await import('../pages/PagesScreen.tsx')).PagesScreen),
      },
      {
        path: 'pages/:id/:slug?',
        lazy: inWords('pages', async () => {
          await needWords('reading')
          return (await import('../pages/PageScreen.tsx')).PageScreen
        }),
      },
      {
        path: 'collections',
        lazy: inWords(
          'collections',
          async () => (await import('../collections/CollectionsScreen.tsx')).CollectionsScreen,
        ),
      },
      {
        path: 'collections/:id/:slug?',
        lazy: inWords('collections', async () => {
          await needWords('reading')
          return (await import('../collections/CollectionScreen.tsx')).CollectionScreen
        }),
      },
      {
        path: 'sharing',
        lazy: inWords('access', async () => {
          await needWords('collections')
          return (await import('../access/SharingScreen.tsx')).SharingScreen
        }),
      },
      {
        path: 'shared-with-me',
        lazy: inWords(
          'access',
          async () => (await import('../access/SharedWithMeScreen.tsx')).SharedWithMeScreen,
        ),
      },
      {
        path: 'submissions',
        lazy: inWords(
          'submissions',
          async () => (await import('../submissions/SubmissionsScreen.tsx')).SubmissionsScreen,
        ),
      },
      {
        path: 'submissions/:id',
        lazy: inWords(
          'submissions',
          async () => (await import('../submissions/SubmissionScreen.tsx')).SubmissionScreen,
        ),
      },
      {
        path: 'review-desk/:assignmentId?',
        lazy: inWords('desk', async () => {
          await needWords('submissions')
          return (await import('../submissions/ReviewDeskScreen.tsx')).ReviewDeskScreen
        }),
      },
      {
        path: 'assignments',
        lazy: inWords(
          'assignments',
          async () => (await import('../assignments/AssignmentsScreen.tsx')).AssignmentsScreen,
        ),
      },
      {
        path: 'assignments/new',
        lazy: inWords(
          'assignments',
          async () => (await import('../assignments/NewAssignmentScreen.tsx')).NewAssignmentScreen,
        ),
      },
      {
        path: 'assignments/:id',
        lazy: inWords('submissions', async () => {
          await needWords('assignments')
          return (await import('../assignments/AssignmentScreen.tsx')).AssignmentScreen
        }),
      },
      {
        path: 'logbooks',
        lazy: inWords(
          'reflections',
          async () => (await import('../reflections/LogbooksScreen.tsx')).LogbooksScreen,
        ),
      },
      {
        path: 'logbooks/:id',
        lazy: inWords(
          'reflections',
          async () => (await import('../reflections/LogbookScreen.tsx')).LogbookScreen,
        ),
      },
      {
        path: 'entries/:id',
        lazy: inWords('reflections', async () => {
          await needWords('pages')
          return (await import('../reflections/EntryScreen.tsx')).EntryScreen
        }),
      },
      {
        path: 'bin',
        lazy: inWords('evidence', async () => (await import('../bin/BinScreen.tsx')).BinScreen),
      },
      {
        path: 'classes',
        lazy: inWords('classes', async () => (await import('../classes/ClassesScreen.tsx')).ClassesScreen),
      },
      {
        path: 'classes/:id',
        lazy: inWords('classes', async () => (await import('../classes/ClassScreen.tsx')).ClassScreen),
      },
      {
        path: 'people',
        lazy: inWords('people', async () => (await import('../people/PeopleScreen.tsx')).PeopleScreen),
      },
      {
        path: 'people/new',
        lazy: inWords('people', async () => (await import('../people/NewPersonScreen.tsx')).NewPersonScreen),
      },
      {
        path: 'people/:id',
        lazy: inWords('people', async () => (await import('../people/PersonScreen.tsx')).PersonScreen),
      },
      {
        path: 'records',
        lazy: inWords('records', async () => (await import('../records/RecordsScreen.tsx')).RecordsScreen),
      },
      {
        path: 'settings',
        lazy: inWords('people', async () => (await import('../people/SettingsScreen.tsx')).SettingsScreen),
      },
      { path: '*', element: <MissingScreen /> },
    ],
  },
]

/** A screen that is loaded together with its words, so that it never shows without them. */
function inWords(name: ScreenWords, load: () => Promise<ComponentType>) {
  const loadWithWords = async () => {
    const [Component] = await Promise.all([load(), needWords(name)])
    return Component
  }
  return async () => {
    try {
      return { Component: await loadWithWords() }
    } catch {
      // There is no connection, or a new version was installed: the frame says so, and goes on trying.
      return { Component: awayUntilLoaded(loadWithWords) }
    }
  }
}
