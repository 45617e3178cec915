// The mail room as a page: what would have gone out, plainly labelled as simulated.
import { html, raw } from 'hono/html'
import type { HtmlEscapedString } from 'hono/utils/html'
import type { Letter } from './MailRoom.ts'

/** All letters, newest first. Addresses in a letter can be followed. */
export function mailRoomPage(letters: readonly Letter[]): HtmlEscapedString | Promise<HtmlEscapedString> {
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>Mail room (simulated)</title>
        <link rel="stylesheet" href="/stand-ins.css" />
      </head>
      <body>
        <p class="label">Simulated. Nothing leaves this machine.</p>
        <main>
          <h1>Mail room</h1>
          <p>Every message that Valise would send lands here. Load the page again to see new ones.</p>
          ${letters.length === 0 ? html`<p>No message yet. Forget a password, or make a sign-in link.</p>` : ''}
          ${letters.map(letterCard)}
        </main>
      </body>
    </html>`
}

function letterCard(letter: Letter) {
  return html`<article>
    <h2>${letter.subject}</h2>
    <p class="to">To ${letter.to}, ${letter.at.toISOString().slice(0, 16).replace('T', ' ')} UTC</p>
    <pre>${withLinks(letter.text)}</pre>
  </article>`
}

/** Addresses become links; everything else is escaped by the template. */
function withLinks(text: string) {
  return text
    .split(/(https?:\/\/\S+)/)
    .map((part, place) => (place % 2 === 1 ? html`<a href="${part}">${part}</a>` : html`${part}`))
}

/** The plain look of all stand-ins: unlike Valise on purpose. */
export const standInStyle = raw(`
:root { color-scheme: light dark; font: 16px/1.5 system-ui, sans-serif; }
body { margin: 0; }
.label { margin: 0; padding: 8px 16px; background: #5b3fa0; color: #fff; font-weight: 600; }
main { max-width: 760px; margin: 0 auto; padding: 16px; }
article { border-top: 1px solid #8888; padding: 12px 0; }
h2 { font-size: 1.1rem; margin: 0; }
.to { margin: 4px 0; opacity: 0.8; }
pre { white-space: pre-wrap; overflow-wrap: anywhere; font: inherit; }
`)
