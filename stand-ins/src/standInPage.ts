// The plain page that all stand-ins share: labelled as simulated, and unlike Valise on purpose.
import { html, raw } from 'hono/html'
import type { HtmlEscapedString } from 'hono/utils/html'

export type Html = HtmlEscapedString | Promise<HtmlEscapedString>

export function standInPage(title: string, content: Html, head: Html = html``): Html {
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>${title}</title>
        ${head}
        <link rel="stylesheet" href="/stand-ins.css" />
      </head>
      <body>
        <p class="label">Simulated. Nothing leaves this machine. <a href="/">All stand-ins</a></p>
        <main>${content}</main>
      </body>
    </html>`
}

export const standInStyle = raw(`
:root { color-scheme: light dark; font: 16px/1.5 system-ui, sans-serif; }
body { margin: 0; }
.label { margin: 0; padding: 8px 16px; background: #5b3fa0; color: #fff; font-weight: 600; }
.label a { color: #fff; }
main { max-width: 760px; margin: 0 auto; padding: 16px; }
article { border-top: 1px solid #8888; padding: 12px 0; }
h2 { font-size: 1.1rem; margin: 0; }
.to { margin: 4px 0; opacity: 0.8; }
pre { white-space: pre-wrap; overflow-wrap: anywhere; font: inherit; }
video, img, svg.tool { max-width: 100%; height: auto; display: block; }
form { display: inline; }
button { font: inherit; padding: 4px 12px; }
`)
