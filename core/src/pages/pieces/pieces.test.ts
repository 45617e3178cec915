import fc from 'fast-check'
import { Check } from 'typebox/value'
import {
  countChanges,
  creditsOf,
  definitionOf,
  evidenceReferences,
  handOutsOf,
  listPublishedHandOuts,
  newDocument,
  nothingShown,
  pieceKinds,
  renderPage,
  thingsShown,
  toPlainText,
  withhold,
} from '../index.ts'
import type { PageDocument, Piece, Shown } from '../index.ts'
import { anyDocument, anyShown, everyPiece } from '../testing/index.ts'
import { pieceSchemas } from './pieceSchemas.ts'

const alone = (piece: Piece) => newDocument('', 'en', [{ id: 'r', pieces: [piece] }])
const addressOf = (pieceId: string, name: string) => `/${pieceId}/${name}`

/** A page, and every address that its rendering asked for. */
function render(document: PageDocument, shown: Shown) {
  const asked: string[] = []
  const html = renderPage(document, {
    shown,
    lang: document.lang,
    address: (pieceId, { name }) => {
      asked.push(addressOf(pieceId, name))
      return addressOf(pieceId, name)
    },
  })
  return { html, asked }
}

const pages = anyDocument().chain((document) => fc.tuple(fc.constant(document), anyShown(document)))

describe('any page', () => {
  it('hands its readers exactly the files that it shows them', () => {
    fc.assert(
      fc.property(pages, ([document, shown]) => {
        const made = handOutsOf(document, shown).filter(({ handOut }) => handOut.isMade)
        const handedOut = made.map(({ pieceId, handOut }) => addressOf(pieceId, handOut.name))
        expect(new Set(render(document, shown).asked)).toEqual(new Set(handedOut))
        expect(new Set(handedOut).size).toBe(handedOut.length)
      }),
    )
  })

  it('says what must still be there for each file', () => {
    const somethingGone = pages.chain(([document, shown]) =>
      fc.tuple(fc.constant(document), fc.constant(shown), fc.subarray(thingsShown(shown))),
    )
    fc.assert(
      fc.property(somethingGone, ([document, shown, gone]) => {
        const left = listPublishedHandOuts(document, shown).filter(
          ({ needs }) => !needs.some((id) => gone.includes(id)),
        )
        const addresses = (some: readonly { pieceId: string; handOut: { name: string } }[]) =>
          new Set(some.map(({ pieceId, handOut }) => addressOf(pieceId, handOut.name)))
        const expected = handOutsOf(document, withhold(shown, new Set(gone)))
        expect(addresses(left)).toEqual(addresses(expected))
      }),
    )
  })

  it('hands out and credits nothing of what is no longer shown', () => {
    fc.assert(
      fc.property(anyDocument(), (document) => {
        expect(handOutsOf(document, nothingShown)).toEqual([])
        expect(creditsOf(document, nothingShown)).toEqual([])
        expect(render(document, nothingShown).asked).toEqual([])
      }),
    )
  })

  it('credits whatever it shows', () => {
    fc.assert(
      fc.property(pages, ([document, shown]) => {
        const credits = JSON.stringify(creditsOf(document, shown))
        const entries = Object.values(shown.entries).map((entry) => entry.document)
        for (const { key } of [document, ...entries].flatMap(evidenceReferences)) {
          const { credit, creditsWithin = [] } = shown.evidence[key] ?? {}
          for (const line of [...(credit ? [credit] : []), ...creditsWithin])
            expect(credits).toContain(JSON.stringify(line))
        }
      }),
    )
  })

  it('takes nothing that somebody wrote for markup, and writes no style', () => {
    fc.assert(
      fc.property(pages, ([document, shown]) => {
        expect(render(document, shown).html).not.toMatch(/<script|<b>glasswort| style=/)
      }),
    )
  })
})

describe.each(pieceKinds)('a piece of the kind %s', (kind) => {
  const pieces = everyPiece(kind, 'piece')
  const definition = definitionOf<Piece>({ kind })
  const shownPieces = pieces.chain((piece) => fc.tuple(fc.constant(piece), anyShown(alone(piece))))

  it('is made of an item as its schema says', () => {
    for (const accepted of definition.evidence?.accepts ?? []) {
      const made = definition.evidence?.create('made', {
        id: '01890000-0000-7000-8000-000000000001',
        kind: accepted,
      })
      expect(made?.kind).toBe(kind)
      expect(Check(pieceSchemas[kind], made)).toBe(true)
    }
  })

  it('names what it shows so that two pieces never mean one another’s', () => {
    fc.assert(
      fc.property(pieces, (piece) => {
        const keys = definition
          .references(piece)
          .flatMap((one) => (one.thing === 'evidence' ? [one.key] : []))
        expect(new Set(keys).size).toBe(keys.length)
        for (const key of keys) expect(key.split('/')[0]).toBe(piece.id)
      }),
    )
  })

  it('says that it is gone where its thing is', () => {
    fc.assert(
      fc.property(pieces, (piece) => {
        const { html } = render(alone(piece), nothingShown)
        expect(html.includes('class="gone"')).toBe(definition.references(piece).length > 0)
      }),
    )
  })

  it('owes no description once one is written', () => {
    fc.assert(
      fc.property(shownPieces, ([piece, shown]) => {
        for (const { key } of definition.descriptions(piece, shown)) {
          const described = definition.withDescription(piece, key, 'Ten stakes in a line')
          const found = definition.descriptions(described, shown).find((one) => one.key === key)
          expect(found).toEqual({ key, text: 'Ten stakes in a line', isOwed: false })
          expect(Check(pieceSchemas[kind], described)).toBe(true)
        }
      }),
    )
  })

  it('has the words of its texts among its words', () => {
    fc.assert(
      fc.property(pieces, (piece) => {
        for (const text of definition.texts(piece))
          expect(definition.plainText(piece)).toContain(toPlainText(text))
      }),
    )
  })

  it('has changed where what it shows has, and not where it only follows the same version', () => {
    fc.assert(
      fc.property(shownPieces, ([piece, shown]) => {
        const document = alone(piece)
        const evidence = Object.fromEntries(
          Object.entries(shown.evidence).map(([key, item]) => [key, { ...item, title: `${item.title}!` }]),
        )
        const entries = Object.fromEntries(
          Object.entries(shown.entries).map(([id, entry]) => [id, { ...entry, title: `${entry.title}!` }]),
        )
        const after = { document, shown: { evidence, entries } }
        const changes = countChanges({ document, shown }, after)
        expect(changes).toBe(definition.references(piece).length > 0 ? 1 : 0)
        expect(countChanges({ document, shown }, { document, shown })).toBe(0)
      }),
    )
  })
})
