import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { evidenceKinds, licenceIds, licences, previewProblems } from '@valise/core/evidence'
import { newsKinds } from '@valise/core/news'
import { classRoles } from '@valise/core/people'
import { reasonSentences, fieldSentences } from '@valise/core/problems'
import { recordActions } from '@valise/core/records'

type Words = { [key: string]: string | Words }

const here = new URL('.', import.meta.url).pathname
const namespaces = [
  'access',
  'assignments',
  'attributes',
  'guides',
  'bench',
  'collage',
  'desk',
  'submissions',
  'sheets',
  'collections',
  'reading',
  'app',
  'classes',
  'evidence',
  'feedback',
  'gather',
  'offers',
  'ratings',
  'pages',
  'people',
  'records',
  'reflections',
  'things',
  'today',
  'work',
]
const read = (language: string, namespace: string): Words =>
  JSON.parse(readFileSync(join(here, language, `${namespace}.json`), 'utf8'))

/** All keys with their sentences; plural forms fold into one key. */
function flat(words: Words, prefix = ''): Map<string, string[]> {
  const keys = new Map<string, string[]>()
  for (const [key, value] of Object.entries(words)) {
    const path = `${prefix}${key}`
    if (typeof value === 'string') {
      const base = path.replace(/_(zero|one|two|few|many|other)$/, '')
      keys.set(base, [...(keys.get(base) ?? []), value])
    } else for (const [inner, sentences] of flat(value, `${path}.`)) keys.set(inner, sentences)
  }
  return keys
}

const valuesIn = (sentence: string) => [...sentence.matchAll(/\{\{(\w+)\}\}/g)].map(([, name]) => name).sort()
const english = (namespace: string) =>
  namespace === 'problems'
    ? ({ reasons: reasonSentences, fields: fieldSentences } as Words)
    : read('en', namespace)

describe.each([...namespaces, 'problems'])('the words of %s', (namespace) => {
  const en = flat(english(namespace))
  const es = flat(read('es', namespace))

  it('are there in both languages', () => {
    expect([...es.keys()].sort()).toEqual([...en.keys()].sort())
  })

  it('name the same values in both languages', () => {
    for (const [key, sentences] of en) {
      const named = new Set(sentences.flatMap(valuesIn))
      expect([key, new Set((es.get(key) ?? []).flatMap(valuesIn))]).toEqual([key, named])
    }
  })

  it('have every plural form that the language needs', () => {
    for (const language of ['en', 'es'] as const) {
      const words = namespace === 'problems' && language === 'en' ? {} : read(language, namespace)
      const forms = new Intl.PluralRules(language).resolvedOptions().pluralCategories
      const keys = JSON.stringify(words).match(/"[\w-]+_(one|other|many)"/g) ?? []
      for (const base of new Set(keys.map((key) => key.replace(/_(one|other|many)"$/, '')))) {
        for (const form of forms) expect(keys).toContain(`${base}_${form}"`)
      }
    }
  })

  it('are plain: no exclamation marks, no double spaces, nothing empty', () => {
    for (const [key, sentences] of [...en, ...es]) {
      for (const sentence of sentences)
        expect([key, sentence]).not.toEqual([key, expect.stringMatching(/!|¡| {2}|^$/)])
    }
  })
})

describe('words that follow lists of the core', () => {
  it('name every action of the records, every role, every kind of news and of evidence', () => {
    const records = flat(read('en', 'records'))
    for (const action of recordActions) expect([...records.keys()]).toContain(`actions.${action}`)
    const things = flat(read('en', 'things'))
    for (const role of classRoles) expect([...things.keys()]).toContain(`roles.${role}`)
    const evidence = [...flat(read('en', 'evidence')), ...flat(read('en', 'things'))].map(([key]) => key)
    for (const kind of evidenceKinds)
      expect(evidence).toEqual(expect.arrayContaining([`kinds.${kind}`, `untitled.${kind}`]))
    for (const problem of previewProblems) expect(evidence).toContain(`preview.${problem}`)
    for (const id of licenceIds) if (licences[id].name === null) expect(evidence).toContain(`licences.${id}`)
    const news = [...flat(read('en', 'feedback')).keys()].join(' ')
    for (const kind of newsKinds) expect(news).toContain(`news.${kind}`)
  })

  it('has no file that no language index takes up', () => {
    expect(readdirSync(join(here, 'es')).sort()).toEqual(
      [...namespaces, 'problems']
        .map((name) => `${name}.json`)
        .concat('index.ts')
        .sort(),
    )
  })
})

describe('keys that the screens ask for', () => {
  const sources = filesBelow(join(here, '..')).filter(
    (file) => /\.tsx?$/.test(file) && !file.includes('.test.'),
  )
  const code = sources.map((file) => readFileSync(file, 'utf8')).join('\n')

  it('leave no word unused', () => {
    const unused = namespaces.flatMap((namespace) =>
      [...flat(read('en', namespace)).keys()]
        .filter((key) => !isAskedFor(key))
        .map((key) => `${namespace}:${key}`),
    )
    expect(unused).toEqual([])
  })

  /** Families within families: `trouble.${trouble}.${what}`. */
  const families = [...code.matchAll(/`([a-z][\w:]*\.\$\{\w+\}\.[^`]*)`/g)].map(
    ([, family = '']) => new RegExp(`^${family.replaceAll('.', '\\.').replace(/\$\{\w+\}/g, '[^.]+')}$`),
  )

  /** A key is asked for as it stands, or as one of a family (`roles.${role}`, `joined_${role}`). */
  function isAskedFor(key: string): boolean {
    const last = key.slice(0, key.lastIndexOf('.') + 1)
    const before = key.slice(0, key.lastIndexOf('_') + 1)
    return (
      code.includes(`${key}'`) ||
      code.includes(`${key}"`) ||
      [last, before].some((beginning) => beginning !== '' && code.includes(`${beginning}\${`)) ||
      code.includes(`'${key}_`) ||
      families.some((family) => family.test(key))
    )
  }
})

function filesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    return entry.isDirectory() ? filesBelow(path) : [path]
  })
}
