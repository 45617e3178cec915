// The JavaScript that is fetched until Today is usable, against a bundle of the same libraries alone, both gzipped.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import { withPlainBuild } from '../buildPlain.ts'
import { toRow } from '../compare.ts'
import type { Row } from '../compare.ts'
import { withDemoSite } from '../demoSite.ts'

const root = fileURLToPath(new URL('../../..', import.meta.url))
const PORT = 7490

/** A page with one heading, one button and one link: the libraries set up, and nothing done with them. */
const bare = `
import { createRoot } from 'react-dom/client'
import { createBrowserRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query'
import { ThemeProvider, createTheme } from '@mui/material/styles'
import CssBaseline from '@mui/material/CssBaseline'
import Typography from '@mui/material/Typography'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import i18next from 'i18next'
import { initReactI18next, useTranslation } from 'react-i18next'
i18next.use(initReactI18next).init({ lng: 'en', resources: { en: { translation: { hello: 'Hello' } } } })
function Page() {
  const { t } = useTranslation()
  const { data } = useQuery({ queryKey: ['x'], queryFn: () => fetch('/x').then((r) => r.json()) })
  return <><Typography variant="h1">{t('hello')}</Typography><Button>{String(data)}</Button><Link href="/">x</Link></>
}
const router = createBrowserRouter([{ path: '/', element: <Page /> }])
createRoot(document.getElementById('root')).render(
  <ThemeProvider theme={createTheme({ cssVariables: true, colorSchemes: { dark: true } })}><CssBaseline />
    <QueryClientProvider client={new QueryClient()}><RouterProvider router={router} /></QueryClientProvider>
  </ThemeProvider>,
)
`

export async function initialJavascript(): Promise<Row> {
  const [ours, reference] = [await sizeOfToday(), await sizeOfBare()]
  return toRow({
    name: 'initial JavaScript until Today is usable',
    limit: 1.25,
    unit: 'kB gzipped',
    ratios: [ours / reference],
    references: [reference / 1000],
  })
}

/** Loads Today of a student in a browser and adds up every script that came. */
function sizeOfToday(): Promise<number> {
  return withDemoSite({ port: PORT }, async (context) => {
    const page = await context.newPage()
    const scripts = new Set<string>()
    page.on('response', (response) => {
      const { pathname } = new URL(response.url())
      if (pathname.endsWith('.js')) scripts.add(pathname)
    })
    await page.goto('/')
    await page.getByRole('heading', { level: 1 }).waitFor()
    await page.waitForLoadState('networkidle')
    return [...scripts].reduce((sum, path) => sum + gzipped(join(root, 'web/dist', path)), 0)
  })
}

function sizeOfBare(): Promise<number> {
  return withPlainBuild(bare, (folder) => {
    const assets = join(folder, 'assets')
    return readdirSync(assets)
      .filter((name) => name.endsWith('.js'))
      .reduce((sum, name) => sum + gzipped(join(assets, name)), 0)
  })
}

function gzipped(file: string): number {
  return gzipSync(readFileSync(file), { level: 9 }).length
}
