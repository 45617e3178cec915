// node e2e/shot.tmp.mjs who path out w h scheme lang [script]
import { chromium } from '@playwright/test'
const [who, path, out, w = '1280', h = '800', scheme = 'light', script = ''] = process.argv.slice(2)
const base = 'http://localhost:7450'
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
})
const touch = Number(w) < 768
const ctx = await b.newContext({
  baseURL: base,
  locale: 'en-GB',
  viewport: { width: +w, height: +h },
  colorScheme: scheme,
  hasTouch: touch,
  isMobile: touch,
})
const { people } = await (await ctx.request.get('/api/demo')).json()
await ctx.request.post('/api/demo/session', {
  data: { personId: people.find((p) => p.fullName.startsWith(who)).id },
  headers: { origin: base },
})
const page = await ctx.newPage()
await page.clock.setFixedTime('2026-11-26T10:42:00.000Z')
page.on('console', (m) => {
  if (['error', 'warning'].includes(m.type())) console.log('console', m.text())
})
page.on('pageerror', (e) => console.log('pageerror', e.message))
await page.goto(path)
await page.waitForSelector('h1')
await page.waitForLoadState('networkidle')
if (script) await new Function('page', 'return (async()=>{' + script + '})()')(page)
await page.waitForTimeout(400)
await page.screenshot({ path: out })
await b.close()
