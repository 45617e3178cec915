// Holds the words that must not come back: each has a plainer one, which is named beside it.
import { describe, expect, it } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { fieldSentences, reasonSentences } from '@valise/core/problems'

interface Ban {
  readonly words: RegExp
  readonly sayInstead: string
}

const english: readonly Ban[] = [
  { words: /artefact|\bassets?\b/i, sayInstead: 'evidence, item' },
  { words: /alt(ernative)? text|what does it show/i, sayInstead: 'Describe it for people who cannot see it' },
  { words: /\bstatements?\b|^what it shows/i, sayInstead: 'What I want to say about it' },
  { words: /declare|rights missing|\brights\b/i, sayInstead: 'Who made this?, Say who made it' },
  { words: /let go|^leave it\b|not now|\bgive (it|them) up/i, sayInstead: 'Cancel' },
  { words: /\brecipe|put (it )?right|even(ed)? out/i, sayInstead: 'steps, Fix the picture' },
  { words: /conceal/i, sayInstead: 'cover' },
  { words: /\bblog\b|\bposts?\b/i, sayInstead: 'logbook, entry' },
  { words: /prompt|workbook|guidance note/i, sayInstead: 'questions, guide, hint' },
  { words: /\bdividers?\b(?! between)/i, sayInstead: 'heading' },
  { words: /\bpieces?\b/i, sayInstead: 'the own name of the thing' },
  { words: /\bof 12\b|in columns/i, sayInstead: 'narrow, half, wide, full' },
  { words: /go on writing/i, sayInstead: 'Edit' },
  { words: /\bpass(es)?\b|opened to|visitor link|whoever holds/i, sayInstead: 'Share, link, Shared with me' },
  { words: /look as\b/i, sayInstead: 'See it as…' },
  { words: /\bmusts?\b(?! be)|\bshoulds\b|^should$/i, sayInstead: 'required, recommended' },
  { words: /\bmends?\b|\bgaps?\b|readiness/i, sayInstead: 'still to do, still missing' },
  { words: /\bparts\b/i, sayInstead: 'what you hand in' },
  { words: /\bseal\b|\bsealing\b|\bsealed\b(?! cop(y|ies))/i, sayInstead: 'hand in, sealed copy' },
  { words: /end this person|person (is |has been )?ended/i, sayInstead: 'Close this account' },
  { words: /\bquer(y|ies)\b|any tag|any kind/i, sayInstead: 'search, saved searches' },
  { words: /\bkept\b|\bkeeping\b|\bedits\b|\d edit\b/i, sayInstead: 'saved, changes' },
  { words: /into the bin\b(?! for)/i, sayInstead: 'Put in the bin' },
  { words: /checksum agrees|\brenditions?\b/i, sayInstead: 'plain words; the rest under Details' },
  { words: /\bplease\b|!/i, sayInstead: 'the sentence without it' },
]

const spanish: readonly Ban[] = [
  { words: /artefacto|\bactivos?\b/i, sayInstead: 'evidencias, elemento' },
  { words: /texto alternativo|qué muestra\?/i, sayInstead: 'Descríbelo para quienes no pueden verlo' },
  { words: /declara|^derechos|derechos de/i, sayInstead: '¿Quién lo hizo?' },
  { words: /\bdejarlo\b(?! y)|soltar|ahora no$/i, sayInstead: 'Cancelar' },
  { words: /receta/i, sayInstead: 'pasos' },
  { words: /separador(?! )/i, sayInstead: 'apartado' },
  { words: /\bpiezas?\b/i, sayInstead: 'el nombre de la cosa' },
  { words: /\bde 12\b|en columnas/i, sayInstead: 'estrecho, mitad, ancho, completo' },
  { words: /seguir escribiendo/i, sayInstead: 'Editar' },
  {
    words: /\b(un|ningún|el|del) pase\b|\bpases\b|abiert[oa]s? para|enlace de visita|mirar como/i,
    sayInstead: 'Compartir, Ver como…',
  },
  { words: /\bconviene\b|^necesario$/i, sayInstead: 'obligatorio, recomendado' },
  { words: /\bhuecos?\b|\barreglos?\b/i, sayInstead: 'falta' },
  { words: /\bpartes\b(?! de)/i, sayInstead: 'lo que entregas' },
  { words: /\bsellar\b|\bsellando\b|sellad[oa]s?\b/i, sayInstead: 'entregar, copia sellada' },
  { words: /terminar con esta persona|persona terminada/i, sayInstead: 'Cerrar esta cuenta' },
  { words: /cualquier (etiqueta|tipo)/i, sayInstead: 'Mis evidencias, primero lo más nuevo' },
  { words: /\bse juzga\b|\bjuzgar\b/i, sayInstead: 'valorar' },
  { words: /por favor|¡|\busted\b/i, sayInstead: 'tú, sin exclamaciones' },
]

const here = new URL('.', import.meta.url).pathname
const root = new URL('../../../', import.meta.url).pathname
type Words = { readonly [key: string]: string | Words }

function sentencesIn(words: Words, path: string): [path: string, sentence: string][] {
  return Object.entries(words).flatMap(([key, value]): [string, string][] =>
    typeof value === 'string' ? [[`${path}.${key}`, value]] : sentencesIn(value, `${path}.${key}`),
  )
}
const wordsOf = (language: string) =>
  readdirSync(`${here}${language}`)
    .filter((file) => file.endsWith('.json'))
    .flatMap((file) => sentencesIn(JSON.parse(readFileSync(`${here}${language}/${file}`, 'utf8')), file))
/** Search words that people type are not spoken by the interface. */
const isSpoken = ([path]: [string, string]) => !path.includes('kindsAlso')
/** Without the names of values, and without the one thing that may be called sealed. */
const spokenText = (sentence: string) =>
  sentence.replaceAll(/\{\{\w+\}\}/g, '').replaceAll(/copias? selladas?/gi, 'copia')
const found = (sentences: readonly [string, string][], bans: readonly Ban[]) =>
  sentences
    .filter(isSpoken)
    .flatMap(([path, sentence]) =>
      bans
        .filter(({ words }) => words.test(spokenText(sentence)))
        .map(({ sayInstead }) => `${path}: “${sentence}” Say instead: ${sayInstead}`),
    )

describe('the interface', () => {
  it('says no word that has a plainer one, in English', () => {
    const refusals = sentencesIn({ ...reasonSentences, ...fieldSentences }, 'problems')
    expect(found([...wordsOf('en'), ...refusals], english)).toEqual([])
  })

  it('says no word that has a plainer one, in Spanish', () => {
    expect(found(wordsOf('es'), spanish)).toEqual([])
  })

  it('is told of in the same words by the README', () => {
    const lines = readFileSync(`${root}README.md`, 'utf8')
      .split('\n')
      .map((line, n): [string, string] => [`README.md:${n + 1}`, line.replaceAll('![', '[')])
    expect(found(lines, english)).toEqual([])
  })
})
