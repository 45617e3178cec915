// The build of the web site: one page, code split by route, libraries that change seldom in chunks of their own.
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react()],
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
