// The entry: words first, then the application.
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './app/App.tsx'
import { startWords } from './words/i18n.ts'

const root = document.getElementById('root')
if (!root) throw new Error('the page has no #root')

await startWords()
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
