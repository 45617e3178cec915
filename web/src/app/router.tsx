// The addresses of Valise and the screens that they show; each screen is loaded when it is first opened.
import { createBrowserRouter } from 'react-router'
import { TodayScreen } from '../today/TodayScreen.tsx'
import { Broken } from './Broken.tsx'
import { MissingScreen } from './MissingScreen.tsx'
import { SessionGate } from './SessionGate.tsx'

export const router = createBrowserRouter([
  {
    path: '/choose-password',
    errorElement: <Broken />,
    // Until the first screen's code is there, the plain page stands.
    hydrateFallbackElement: <></>,
    lazy: async () => ({
      Component: (await import('../people/ChoosePasswordScreen.tsx')).ChoosePasswordScreen,
    }),
  },
  {
    path: '/',
    element: <SessionGate />,
    errorElement: <Broken />,
    hydrateFallbackElement: <></>,
    children: [
      { index: true, element: <TodayScreen /> },
      {
        path: 'evidence/:id?',
        lazy: async () => ({ Component: (await import('../evidence/EvidenceScreen.tsx')).EvidenceScreen }),
      },
      {
        path: 'bin',
        lazy: async () => ({ Component: (await import('../evidence/BinScreen.tsx')).BinScreen }),
      },
      {
        path: 'classes',
        lazy: async () => ({ Component: (await import('../classes/ClassesScreen.tsx')).ClassesScreen }),
      },
      {
        path: 'classes/:id',
        lazy: async () => ({ Component: (await import('../classes/ClassScreen.tsx')).ClassScreen }),
      },
      {
        path: 'people',
        lazy: async () => ({ Component: (await import('../people/PeopleScreen.tsx')).PeopleScreen }),
      },
      {
        path: 'people/new',
        lazy: async () => ({ Component: (await import('../people/NewPersonScreen.tsx')).NewPersonScreen }),
      },
      {
        path: 'people/:id',
        lazy: async () => ({ Component: (await import('../people/PersonScreen.tsx')).PersonScreen }),
      },
      {
        path: 'records',
        lazy: async () => ({ Component: (await import('../records/RecordsScreen.tsx')).RecordsScreen }),
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('../people/SettingsScreen.tsx')).SettingsScreen }),
      },
      { path: '*', element: <MissingScreen /> },
    ],
  },
])
