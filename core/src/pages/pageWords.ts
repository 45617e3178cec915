// The few words that a page says by itself, in the language of its reader's page.
import type { licences } from '../evidence/index.ts'
import type { PageDocument } from './schema.ts'

interface PageWords {
  readonly credits: string
  readonly by: string
  readonly take: string
  readonly notOffered: string
  readonly gone: string
  readonly noEntries: string
  readonly untitled: string
  readonly statements: string
  readonly picture: string
  readonly voice: string
  readonly transcript: string
  readonly licence: Readonly<Record<Extract<keyof typeof licences, 'public-domain' | 'permission'>, string>>
}

const en: PageWords = {
  credits: 'Credits',
  by: 'by',
  take: 'Download',
  notOffered: 'You cannot download this file.',
  gone: 'This is not shown any more.',
  noEntries: 'No entries yet.',
  untitled: 'Untitled',
  statements: 'What I want to say',
  picture: 'Picture without a description',
  voice: 'Voice',
  transcript: 'What is said',
  licence: { 'public-domain': 'in the public domain', permission: 'used with permission' },
}
const es: PageWords = {
  credits: 'Créditos',
  by: 'de',
  take: 'Descargar',
  notOffered: 'Este archivo no se puede descargar.',
  gone: 'Esto ya no se muestra.',
  noEntries: 'Todavía no hay entradas.',
  untitled: 'Sin título',
  statements: 'Lo que quiero decir',
  picture: 'Imagen sin descripción',
  voice: 'Voz',
  transcript: 'Lo que se dice',
  licence: { 'public-domain': 'de dominio público', permission: 'usado con permiso' },
}

/** Returns the words in the language of the page; English where there are none. */
export function pageWords(lang: PageDocument['lang']): PageWords {
  return lang === 'es' ? es : en
}
