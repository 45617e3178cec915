// The addresses of Valise and the screens that they show; each screen is loaded when it is first opened.
import type { ComponentType } from 'react'
import type { RouteObject } from 'react-router'
import { loadRecordsScreen } from '../records/index.ts'
import { loadClassScreen, loadClassesScreen } from '../classes/index.ts'
import { loadBinScreen } from '../bin/index.ts'
import {
  loadEntryScreen,
  loadLogbookScreen,
  loadLogbooksScreen,
  loadNewEntryScreen,
} from '../reflections/index.ts'
import { loadAssignmentScreen, loadAssignmentsScreen, loadNewAssignmentScreen } from '../assignments/index.ts'
import { loadReviewDeskScreen, loadSubmissionScreen, loadSubmissionsScreen } from '../submissions/index.ts'
import { loadCollectionScreen, loadCollectionsScreen } from '../collections/index.ts'
import { loadPagesScreen } from '../pages/index.ts'
import { loadAttributeSetScreen, loadAttributeSetsScreen } from '../attributes/index.ts'
import { loadGrowScreen } from '../ratings/index.ts'
import {
  loadFollowScreen,
  loadGuideCopiesScreen,
  loadGuideCopyScreen,
  loadGuideReadingScreen,
  loadGuideScreen,
  loadGuidesScreen,
} from '../guides/index.ts'
import { loadSheetScreen, loadSheetsScreen } from '../sheets/index.ts'
import { loadCollageScreen } from '../collages/index.ts'
import { loadBenchScreen } from '../pictures/bench/index.ts'
import { loadEvidenceScreen } from '../evidence/list/index.ts'
import { loadNoSuchLink, loadSharedWithMeScreen, loadSharingScreen } from '../access/index.ts'
import { loadCameraScreen } from '../gather/index.ts'
import {
  loadChoosePasswordScreen,
  loadNewPersonScreen,
  loadPeopleScreen,
  loadPersonScreen,
  loadSettingsScreen,
} from '../people/index.ts'
import { MissingScreen } from '../ui/MissingScreen.tsx'
import { needWords } from '../words/i18n.ts'
import type { ScreenWords } from '../words/i18n.ts'
import { HomeScreen } from './HomeScreen.tsx'
import { Broken } from './Broken.tsx'
import { awayUntilLoaded } from './ScreenAway.tsx'
import { SessionGate } from './SessionGate.tsx'
import { ShellOutline } from './ShellOutline.tsx'

export const routes: RouteObject[] = [
  {
    path: '/choose-password',
    errorElement: <Broken />,
    // Until the first screen's code is there, the outline of the shell stands.
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords('people', loadChoosePasswordScreen),
  },
  {
    path: '/camera',
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords('gather', loadCameraScreen),
  },
  {
    path: '/no-such-link',
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    lazy: inWords('reading', async () => {
      await needWords('people')
      return loadNoSuchLink()
    }),
  },
  {
    path: '/',
    element: <SessionGate />,
    errorElement: <Broken />,
    hydrateFallbackElement: <ShellOutline />,
    children: [
      { index: true, element: <HomeScreen /> },
      {
        path: 'evidence/:id?',
        lazy: inWords('evidence', async () => {
          await needWords('pages')
          return loadEvidenceScreen()
        }),
      },
      {
        path: 'evidence/:id/bench',
        lazy: inWords('bench', async () => {
          await Promise.all([needWords('evidence'), needWords('pages')])
          return loadBenchScreen()
        }),
      },
      {
        path: 'evidence/:id/collage',
        lazy: inWords('collage', async () => {
          await Promise.all([needWords('evidence'), needWords('pages'), needWords('bench')])
          return loadCollageScreen()
        }),
      },
      {
        path: 'pages',
        lazy: inWords('pages', loadPagesScreen),
      },
      {
        path: 'pages/:id/:slug?',
        lazy: inWords('pages', async () => {
          await needWords('reading')
          return (await import('./PageWithAnswers.tsx')).PageWithAnswers
        }),
      },
      {
        path: 'collections',
        lazy: inWords('collections', loadCollectionsScreen),
      },
      {
        path: 'collections/:id/:slug?',
        lazy: inWords('collections', async () => {
          await needWords('reading')
          return loadCollectionScreen()
        }),
      },
      {
        path: 'sharing',
        lazy: inWords('access', async () => {
          await needWords('collections')
          return loadSharingScreen()
        }),
      },
      {
        path: 'shared-with-me',
        lazy: inWords('access', loadSharedWithMeScreen),
      },
      {
        path: 'submissions',
        lazy: inWords('submissions', loadSubmissionsScreen),
      },
      {
        path: 'submissions/:id',
        lazy: inWords('submissions', loadSubmissionScreen),
      },
      {
        path: 'review-desk/:assignmentId?',
        lazy: inWords('desk', async () => {
          await needWords('submissions')
          return loadReviewDeskScreen()
        }),
      },
      {
        path: 'assignments',
        lazy: inWords('assignments', loadAssignmentsScreen),
      },
      {
        path: 'assignments/new',
        lazy: inWords('assignments', loadNewAssignmentScreen),
      },
      {
        path: 'assignments/:id',
        lazy: inWords('submissions', async () => {
          await needWords('assignments')
          return loadAssignmentScreen()
        }),
      },
      {
        path: 'logbooks',
        lazy: inWords('reflections', async () => {
          await needWords('sheets')
          return loadLogbooksScreen()
        }),
      },
      {
        path: 'logbooks/:id',
        lazy: inWords('reflections', async () => {
          await Promise.all([needWords('sheets'), needWords('pages'), needWords('evidence')])
          return loadLogbookScreen()
        }),
      },
      {
        path: 'entries/new',
        lazy: inWords('reflections', async () => {
          await needWords('sheets')
          return loadNewEntryScreen()
        }),
      },
      {
        path: 'entries/:id',
        lazy: inWords('reflections', async () => {
          await Promise.all([needWords('sheets'), needWords('pages'), needWords('evidence')])
          return loadEntryScreen()
        }),
      },
      {
        path: 'sheets',
        lazy: inWords('sheets', async () => {
          await Promise.all([needWords('pages'), needWords('offers')])
          return loadSheetsScreen()
        }),
      },
      {
        path: 'sheets/:id',
        lazy: inWords('sheets', async () => {
          await Promise.all([needWords('pages'), needWords('offers')])
          return loadSheetScreen()
        }),
      },
      {
        path: 'attribute-sets',
        lazy: inWords('attributes', async () => {
          await needWords('offers')
          return loadAttributeSetsScreen()
        }),
      },
      {
        path: 'attribute-sets/:id',
        lazy: inWords('attributes', async () => {
          await needWords('offers')
          return loadAttributeSetScreen()
        }),
      },
      {
        path: 'guides',
        lazy: inWords('guides', async () => {
          await Promise.all([needWords('sheets'), needWords('offers'), needWords('pages')])
          return loadGuidesScreen()
        }),
      },
      {
        path: 'guides/:id',
        lazy: inWords('guides', async () => {
          await Promise.all([
            ...[needWords('sheets'), needWords('offers'), needWords('pages')],
            ...[needWords('reflections'), needWords('evidence')],
          ])
          return loadGuideScreen()
        }),
      },
      {
        path: 'guides/:id/classes/:classId',
        lazy: inWords('guides', loadFollowScreen),
      },
      {
        path: 'guide-copies',
        lazy: inWords('guides', loadGuideCopiesScreen),
      },
      {
        path: 'guide-copies/:id',
        lazy: inWords('guides', async () => {
          await Promise.all([
            ...[needWords('sheets'), needWords('submissions'), needWords('pages')],
            ...[needWords('reflections'), needWords('evidence')],
          ])
          return loadGuideCopyScreen()
        }),
      },
      {
        path: 'guide-copies/:id/reading',
        lazy: inWords('guides', loadGuideReadingScreen),
      },
      {
        path: 'grow',
        lazy: inWords('ratings', async () => {
          await needWords('evidence')
          return loadGrowScreen()
        }),
      },
      {
        path: 'bin',
        lazy: inWords('evidence', loadBinScreen),
      },
      {
        path: 'classes',
        lazy: inWords('classes', loadClassesScreen),
      },
      {
        path: 'classes/:id',
        lazy: inWords('classes', loadClassScreen),
      },
      {
        path: 'people',
        lazy: inWords('people', loadPeopleScreen),
      },
      {
        path: 'people/new',
        lazy: inWords('people', loadNewPersonScreen),
      },
      {
        path: 'people/:id',
        lazy: inWords('people', loadPersonScreen),
      },
      {
        path: 'records',
        lazy: inWords('records', loadRecordsScreen),
      },
      {
        path: 'settings',
        lazy: inWords('people', loadSettingsScreen),
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
