// A document for tests that need one: jsdom, with what it lacks of layout and the clipboard.
import { JSDOM } from 'jsdom'

/** Gives this process a window and a document; returns a function that removes them. */
export function fakeDocument(): () => void {
  const { window } = new JSDOM('<!doctype html><body></body>', { pretendToBeVisual: true })
  const names = [
    'window',
    'document',
    'navigator',
    'Node',
    'Element',
    'HTMLElement',
    'Text',
    'DocumentFragment',
    'DOMParser',
    'MutationObserver',
    'getSelection',
    'requestAnimationFrame',
    'cancelAnimationFrame',
    'innerHeight',
    'innerWidth',
    'Event',
    'KeyboardEvent',
    'getComputedStyle',
  ] as const
  const before = names.map((name) => [name, Object.getOwnPropertyDescriptor(globalThis, name)] as const)
  for (const name of names) {
    const value: unknown = Reflect.get(window, name)
    const isMethod = typeof value === 'function' && name[0] === name[0]?.toLowerCase()
    Object.defineProperty(globalThis, name, {
      configurable: true,
      value: name === 'window' ? window : isMethod ? value.bind(window) : value,
    })
  }
  const noRect = { x: 0, y: 0, top: 0, left: 0, right: 0, bottom: 0, width: 0, height: 0, toJSON: () => ({}) }
  window.document.elementFromPoint = () => null
  window.Range.prototype.getClientRects = () => Object.assign([], { item: () => null })
  window.Range.prototype.getBoundingClientRect = () => noRect
  return () => {
    window.close()
    for (const [name, descriptor] of before) {
      if (descriptor) Object.defineProperty(globalThis, name, descriptor)
      else Reflect.deleteProperty(globalThis, name)
    }
  }
}
