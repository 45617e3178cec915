// The mail room as a page: what would have gone out, plainly labelled as simulated.
import { html } from 'hono/html'
import { standInPage } from '../standInPage.ts'
import type { Html } from '../standInPage.ts'
import type { Letter } from './MailRoom.ts'

/** Renders all messages, newest first, with clickable addresses. */
export function mailRoomPage(letters: readonly Letter[]): Html {
  return standInPage(
    'Mail room (simulated)',
    html`<h1>Mail room</h1>
      <p>Messages that Valise would send arrive here. Load the page again to see new ones.</p>
      ${letters.length === 0 ? html`<p>No messages yet. Ask for a new password, or make a sign-in link.</p>` : ''}
      ${letters.map(letterCard)}`,
  )
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
    .map((text, place) => (place % 2 === 1 ? html`<a href="${text}">${text}</a>` : html`${text}`))
}
