// Puts the look around everything: theme, colours, base styles, the nonce for styles made at run time.
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import CssBaseline from '@mui/material/CssBaseline'
import { ThemeProvider } from '@mui/material/styles'
import type { ReactNode } from 'react'
import './fonts.ts'
import './print.css'
import { styleNonce } from './styleNonce.ts'
import { theme } from './theme.ts'
import './tokens.css'

const nonce = styleNonce()
const cache = createCache({ key: 'v', prepend: true, ...(nonce && { nonce }) })

export function AppearanceProvider({ children }: { children: ReactNode }) {
  return (
    <CacheProvider value={cache}>
      <ThemeProvider theme={theme} modeStorageKey="valise-scheme" defaultMode="system">
        <CssBaseline />
        {children}
      </ThemeProvider>
    </CacheProvider>
  )
}
