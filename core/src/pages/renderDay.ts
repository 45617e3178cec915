// A day as HTML, in the language of the page.
import { escapeHtml } from './escapeHtml.ts'
import type { PageDocument } from './schema.ts'

export function renderDay(day: string, lang: PageDocument['lang']): string {
  const [year = '', month = '', date = ''] = day.split('-')
  const words = new Intl.DateTimeFormat(lang === 'en' ? 'en-GB' : lang, {
    dateStyle: 'long',
    timeZone: 'UTC',
  }).format(Date.UTC(Number(year), Number(month) - 1, Number(date)))
  return `<time datetime="${escapeHtml(day)}">${escapeHtml(words)}</time>`
}
