// Lists of a word processor that come as paragraphs: each says its level and its mark in styles of its own.

/** Of a paragraph that is a line of a list: how deep it lies, from 1. */
const LEVEL = /mso-list:[^;]*\blevel(\d+)/i
/** Of what stands before its words, which a list of HTML makes by itself. */
const MARK = /mso-list:\s*ignore/i
/** A number or letters, as `3.`, `(b)` or `iv)`. */
const NUMBERED = /^\(?([0-9]+|[a-z]{1,4})[.)]/i

const styleOf = (element: Element) => element.getAttribute('style') ?? ''

/** Makes lists of all runs of such paragraphs. */
export function joinLists(body: HTMLElement): void {
  const open: { list: Element; level: number }[] = []
  let last: Element | null = null
  for (const paragraph of body.querySelectorAll('p')) {
    const level = Number(LEVEL.exec(styleOf(paragraph))?.[1] ?? 0)
    if (level === 0) continue
    // Another paragraph between two of them ends the list.
    if (paragraph.previousElementSibling !== last) open.length = 0
    const name = NUMBERED.test(takeMark(paragraph)) ? 'ol' : 'ul'
    while ((open.at(-1)?.level ?? 0) > level) open.pop()
    const line = body.ownerDocument.createElement('li')
    const same = open.at(-1)
    if (same?.level === level) same.list.append(line)
    else {
      const list = body.ownerDocument.createElement(name)
      const above = same?.list.lastElementChild
      if (above) above.append(list)
      else paragraph.before(list)
      open.push({ list, level })
      list.append(line)
    }
    line.append(...paragraph.childNodes)
    paragraph.remove()
    last = open[0]?.list ?? null
  }
}

/** Takes the mark out of a line, and returns it. */
function takeMark(paragraph: Element): string {
  const marks = [...paragraph.querySelectorAll('span')].filter((span) => MARK.test(styleOf(span)))
  const mark = marks.map(({ textContent }) => textContent).join('')
  for (const one of marks) one.remove()
  return mark.trim()
}
