// The build of the web site: one page, code split by route, libraries that change seldom in chunks of their own.
import { readFileSync } from 'node:fs'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import type { Plugin } from 'vite'
import paths from './src/app/paths.json' with { type: 'json' }
import tokens from './src/ui/tokens.json' with { type: 'json' }

const outline = readFileSync(new URL('src/app/outline.css', import.meta.url), 'utf8')

/** Writes every colour of tokens.json and the outline of the shell into the page, so that they stand at the first paint. */
const colourProperties: Plugin = {
  name: 'colour-properties',
  transformIndexHtml: () => {
    const of = (scheme: 'light' | 'dark') =>
      Object.entries(tokens.colour)
        .map(([name, colour]) => `--${name}:${colour[scheme]}`)
        .join(';')
    const children = `:root{${of('light')}}@media not print{[data-scheme='dark']{${of('dark')}}}\n${outline}`
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

/** Parts that several screens share; not those that bring the editor or the calendar along. */
const partsOfScreens =
  /web\/src\/(?!words|pictures|collages)(?:evidence\/)?\w+\/(?!TextEditor|TextTools|UnsavedText|NoteEditor|NotePreview|PassDays|LookAsPanel|MadeField|TimePart|EntryEditor|AssignmentForm|DayField|SliderField)\w+\.(tsx|module\.css)$/

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
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\//, priority: 9 },
            // What every screen begins with: in one chunk it packs better than in twenty.
            { name: 'frame', tags: ['$initial'], priority: 8 },
            // An icon by itself is hardly larger than the request for it.
            { name: 'icons', test: /@tabler\/icons-react/, priority: 7 },
            {
              name: 'mui',
              test: /node_modules\/(@mui\/(material|system|utils)|@popperjs|react-transition-group|react-hook-form)\//,
              priority: 7,
            },
            // What several screens have of ours: data, words and hooks, and then the parts of screens.
            {
              name: 'core',
              test: /core\/src\/(access|assignments|bin|classes|collections|evidence|people|problems|records|submissions|things|time)\//,
              minShareCount: 2,
              priority: 4,
            },
            {
              name: 'shared',
              test: /web\/src\/(ui\/(?!DayField|SliderField)|(?!saving|text|pictures|collages)(?:evidence\/)?\w+\/[\w.]+\.ts$|(pictures\/bench|collages)\/queries)/,
              minShareCount: 2,
              priority: 3,
            },
            { name: 'parts', test: partsOfScreens, minShareCount: 2, priority: 2 },
            // Large, and seldom needed: they come where they are asked for.
            {
              name: 'editor',
              test: /@tiptap|prosemirror|linkifyjs|web\/src\/text\/(TextEditor|TextTools|textExtensions|useUnsavedText|UnsavedText|useFlushAfterPause)\./,
              priority: 1,
            },
            { name: 'dates', test: /@mui\/x-|node_modules\/date-fns\/|web\/src\/ui\/DayField/, priority: 1 },
          ],
        },
      },
    },
  },
  server: { port: 7390, proxy: { '/api': devServer, '/open': devServer } },
})
