// The build of the web site: one page, code split by route, libraries that change seldom in chunks of their own.
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import type { Plugin } from 'vite'
import paths from './src/app/paths.json' with { type: 'json' }
import tokens from './src/ui/tokens.json' with { type: 'json' }

/** Writes every colour of tokens.json into the page as a custom property, so that they stand before the first paint. */
const colourProperties: Plugin = {
  name: 'colour-properties',
  transformIndexHtml: () => {
    const of = (scheme: 'light' | 'dark') =>
      Object.entries(tokens.colour)
        .map(([name, colour]) => `--${name}:${colour[scheme]}`)
        .join(';')
    const children = `:root{${of('light')}}[data-scheme='dark']{${of('dark')}}`
    return [{ tag: 'style', attrs: { nonce: '__NONCE__' }, children, injectTo: 'head' }]
  },
}

/** Writes down which addresses the router knows, so that the server can say of others that they are not there. */
const knownPaths: Plugin = {
  name: 'known-paths',
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'paths.json', source: JSON.stringify(paths) })
  },
}

const frame = new RegExp(
  [
    'web/src/ui/(Avatar|createStore|Empty|Fetched|Missing|Mark|OwnIcon|place|Refusal|Screen|StitchedBox|useLetterKey|useProblemWords|useWhen)\\.',
    'web/src/(app/(kept|lostSession|places|MissingScreen)|people/(useSession|tabs)|evidence/(trayPlace|trayQueries|Tray|draggedItem|Thumbnail|useEvidenceWords|useClassInView|uploadsHere|uploadQueries|addFiles|chooseFiles)|gather/(useWaysIn|ways|gathering|pastedAddress|arrivals))\\.',
    'web/src/(api/(ask|ApiProblem|index)|app/queryClient|words/i18n)\\.',
    '@tanstack/(query-core|react-query)/',
    'core/src/(evidence/(extensionOf|valueLists)|people/(names|valueLists|textIn))\\.',
    '@tabler/icons-react/dist/esm/(createReactComponent|icons/(IconBook2|IconFileText|IconPhoto|IconTrash|IconX|IconChevronUp|IconChevronDown|IconArrowBarUp|IconSunHigh|IconUsers|IconUsersGroup|IconBell|IconFile|IconMovie)\\.)',
  ].join('|'),
)

const devAddress = 'http://localhost:7400'
/** The server takes writes from its own address alone, and Vite stands before it under another. */
const devServer = { target: devAddress, headers: { origin: devAddress } }

export default defineConfig({
  plugins: [react(), colourProperties, knownPaths],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    // Fonts and pictures stay files: the content security policy allows no data: fonts.
    assetsInlineLimit: 0,
    // The reader of PDF and the plots are large by nature; they come only where they are asked for.
    chunkSizeWarningLimit: 1300,
    // Scripts are not preloaded by a list that every first visit would have to carry; styles must be.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_file, dependencies) => dependencies.filter((name) => name.endsWith('.css')),
    },
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\// },
            // What every screen has: in one chunk it packs better than in twenty.
            { name: 'frame', test: frame },
          ],
        },
      },
    },
  },
  server: { port: 7390, proxy: { '/api': devServer, '/open': devServer } },
})
