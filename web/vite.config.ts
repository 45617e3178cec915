// The build of the web site: one page, code split by route, libraries that change seldom in chunks of their own.
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import type { Plugin } from 'vite'
import { colour as colours } from './src/ui/tokens.json' with { type: 'json' }

/** Writes every colour of tokens.json into the page as a custom property, so that they stand before the first paint. */
const colourProperties: Plugin = {
  name: 'colour-properties',
  transformIndexHtml: () => {
    const of = (scheme: 'light' | 'dark') =>
      Object.entries(colours)
        .map(([name, colour]) => `--${name}:${colour[scheme]}`)
        .join(';')
    const children = `:root{${of('light')}}[data-scheme='dark']{${of('dark')}}`
    return [{ tag: 'style', attrs: { nonce: '__NONCE__' }, children, injectTo: 'head' }]
  },
}

export default defineConfig({
  plugins: [react(), colourProperties],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    // Fonts and pictures stay files: the content security policy allows no data: fonts.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [{ name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\// }],
        },
      },
    },
  },
  server: { port: 7390, proxy: { '/api': 'http://localhost:7400' } },
})
