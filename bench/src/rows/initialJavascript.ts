// The JavaScript that is fetched until Today is usable, against a bundle of the same libraries alone, both gzipped.
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { toRow } from '../compare.ts'
import type { Row } from '../compare.ts'

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
async function sizeOfToday(): Promise<number> {
  const data = mkdtempSync(join(tmpdir(), 'valise-bench-'))
  const args = [join(root, 'server/dist/serve.js'), '--port', String(PORT), '--data', data, '--quiet']
  const server = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  await new Promise<void>((resolve) =>
    server.stdout.on('data', (text: Buffer) => text.includes('ready') && resolve()),
  )
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  try {
    const context = await browser.newContext({ baseURL: `http://localhost:${PORT}`, locale: 'en-GB' })
    const { people } = await (await context.request.get('/api/demo')).json()
    const headers = { origin: `http://localhost:${PORT}` }
    await context.request.post('/api/demo/session', { data: { personId: people[0].id }, headers })
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
  } finally {
    await browser.close()
    server.kill()
    rmSync(data, { recursive: true, force: true })
  }
}

/** Builds the bare page with the same Vite and the same settings. */
async function sizeOfBare(): Promise<number> {
  // It must lie below the web site's folder, so that it finds the same libraries.
  const folder = join(root, 'web/dist/.bench')
  mkdirSync(folder, { recursive: true })
  try {
    writeFileSync(join(folder, 'main.jsx'), bare)
    writeFileSync(
      join(folder, 'index.html'),
      '<div id="root"></div><script type="module" src="/main.jsx"></script>',
    )
    const vite = createRequire(join(root, 'web/package.json')).resolve('vite')
    const { build } = await import(pathToFileURL(vite).href)
    const settings = { target: 'es2022', outDir: 'out', modulePreload: { polyfill: false } }
    await build({ root: folder, configFile: false, logLevel: 'silent', build: settings })
    const assets = join(folder, 'out/assets')
    return readdirSync(assets)
      .filter((name) => name.endsWith('.js'))
      .reduce((sum, name) => sum + gzipped(join(assets, name)), 0)
  } finally {
    rmSync(folder, { recursive: true })
  }
}

function gzipped(file: string): number {
  return gzipSync(readFileSync(file), { level: 9 }).length
}
