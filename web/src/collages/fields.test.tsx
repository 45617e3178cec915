import { describe, expect, it } from '@jest/globals'
import type { Collage, Layer } from '@valise/core/pictures'
import { boundsOfAll } from '@valise/core/pictures'
import { renderHtml } from '../testing/renderWords.tsx'
import { ArrangeBar } from './ArrangeBar.tsx'
import { DrawBar, firstPen } from './DrawBar.tsx'
import { LayerFields } from './LayerFields.tsx'
import { LayerList } from './LayerList.tsx'
import { newDrawing, newLayer } from './newLayers.ts'
import type { Addable } from './newLayers.ts'
import { PlaceFields } from './PlaceFields.tsx'
import type { Arranging } from './useArranging.ts'

const empty: Collage = {
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' }, layers: [] },
}
const nothing = () => undefined
const arranging = (layers: readonly Layer[], chosen: readonly Layer[] = layers): Arranging => ({
  ...{ collage: { ...empty, layers: [...layers] }, chosen, ids: new Set(chosen.map(({ id }) => id)) },
  bounds: boundsOfAll(chosen),
  ...{ choose: nothing, chooseMany: nothing, show: nothing, done: nothing, save: nothing, move: nothing },
  ...{ saveCollage: nothing, showCollage: nothing, change: nothing, add: nothing, addLayers: nothing },
  ...{ align: nothing, distribute: nothing, order: nothing, duplicate: nothing, group: nothing },
  ...{ ungroup: nothing, lock: nothing, drop: nothing },
})
const shape = (id: string, more: Partial<Layer> = {}): Layer =>
  ({ ...newLayer('shape', id, empty), ...more }) as Layer
/** The names of buttons that can be pressed now. */
const actsOf = (html: string) =>
  [...html.matchAll(/<button([^>]*)>/g)].flatMap(([, attributes = '']) => {
    const name = /aria-label="([^"]*)"/.exec(attributes)?.[1] ?? ''
    return attributes.includes('disabled') ? [] : [name]
  })

describe('what can be done with what is chosen', () => {
  it('is everything but distributing and grouping with one thing', () => {
    const acts = actsOf(renderHtml(<ArrangeBar arranging={arranging([shape('a')])} />))
    expect(acts).toEqual(
      expect.arrayContaining(['Align left edges', 'Bring to the front', 'Duplicate', 'Lock']),
    )
    expect(acts).not.toContain('Group')
    expect(acts).not.toContain('Equal spaces across')
  })

  it('is grouping with two, and distributing with three', () => {
    const two = actsOf(renderHtml(<ArrangeBar arranging={arranging([shape('a'), shape('b')])} />))
    expect(two).toContain('Group')
    expect(two).not.toContain('Equal spaces down')
    const three = [shape('a'), shape('b'), shape('c')]
    expect(actsOf(renderHtml(<ArrangeBar arranging={arranging(three)} />))).toContain('Equal spaces down')
  })

  it('is taking a group apart, and with what is locked nothing that moves it', () => {
    const grouped = [shape('a', { group: 'g' }), shape('b', { group: 'g' })]
    const acts = actsOf(renderHtml(<ArrangeBar arranging={arranging(grouped)} />))
    expect(acts).toContain('Ungroup')
    expect(acts).not.toContain('Group')
    const locked = actsOf(renderHtml(<ArrangeBar arranging={arranging([shape('a', { isLocked: true })])} />))
    expect(locked).toContain('Unlock')
    expect(locked).not.toContain('Remove from the board')
    expect(locked).not.toContain('Align left edges')
  })
})

describe('what can be said of a layer', () => {
  const fields = (layer: Layer) =>
    renderHtml(<LayerFields layer={layer} writing={null} onShow={nothing} onSave={nothing} />)

  it.each<[Addable, string[], string[]]>([
    ['words', ['Text', 'Font', 'Size', 'Text colour'], ['Outline', 'Bend']],
    ['bubble', ['Shape', 'Fill', 'Outline', 'Width', 'Text'], ['Bend']],
    ['shape', ['Shape', 'Fill', 'Text'], ['Width']],
    ['arrow', ['Colour', 'Width', 'Bend', 'Arrowhead'], ['Text']],
    ['number', ['What it points out', 'Colour'], ['Words', 'Width']],
  ])('is what its kind has: %s', (what, there, missing) => {
    const html = fields(newLayer(what, 'a', empty))
    for (const word of there) expect(html).toContain(`>${word}<`)
    for (const word of missing) expect(html).not.toContain(`>${word}<`)
  })

  it('is the cut of a picture, and nothing of a drawing', () => {
    const html = fields({
      ...{ id: 'p', kind: 'picture', evidenceId: 'e', n: 1, shape: 'arch', x: 0, y: 0, width: 9, height: 9 },
      ...{ turn: 0, isLocked: false, group: null, focus: { x: 0.25, y: 0.5, zoom: 2 } },
    })
    expect(html).toContain('Arch')
    expect(html).toContain('200\u00a0%')
    expect(html).toContain('25\u00a0%')
    expect(fields(newDrawing('d', { width: 9, height: 9 }))).toBe('')
  })

  it('is where it stands, in whole numbers', () => {
    const html = renderHtml(
      <PlaceFields layer={shape('a', { x: 12.4, y: -3.6, turn: 90 })} onSave={nothing} />,
    )
    for (const value of ['12', '-4', '90']) expect(html).toContain(`value="${value}"`)
  })
})

describe('all that lies on a board', () => {
  it('is listed with the uppermost first, and says what is grouped, locked and chosen', () => {
    const layers = [shape('a', { group: 'g' }), shape('b', { isLocked: true }), shape('c')]
    const html = renderHtml(
      <LayerList arranging={arranging(layers, layers.slice(2))} nameOf={({ id }) => `thing ${id}`} />,
    )
    expect([...html.matchAll(/thing (\w)/g)].map(([, id]) => id)).toEqual(['c', 'b', 'a'])
    expect(html.match(/aria-pressed="true"/g)).toHaveLength(1)
    expect(html).toContain('aria-label="in a group"')
    expect(html).toContain('aria-label="locked"')
  })

  it('says what to do while there is nothing', () => {
    const html = renderHtml(<LayerList arranging={arranging([])} nameOf={() => ''} />)
    expect(html).toContain('Add pictures, text or an arrow.')
  })
})

describe('the pen', () => {
  it('has a colour, and the rubber has none', () => {
    expect(renderHtml(<DrawBar pen={firstPen} onPen={nothing} />)).toContain('Blue')
    const rubber = renderHtml(<DrawBar pen={{ ...firstPen, isEraser: true }} onPen={nothing} />)
    expect(rubber).not.toContain('Blue')
    expect(rubber).toContain('only what you drew')
  })
})
