// What is pasted from a word processor or a page, as plain HTML: its headings, lists, links and tables, and nothing of
// its looks.
import { joinLists } from './wordLists.ts'

/** Of the program it comes from, and nothing that was written. */
const OF_THE_PROGRAM = 'style, script, meta, link, title, xml'
/** Of our texts; a page's title is the only heading above them. */
const HIGHEST = 2
const LOWEST = 3

/** Returns pasted HTML without what only the program that it comes from understands. */
export function cleanPasted(html: string): string {
  const { body } = new DOMParser().parseFromString(html, 'text/html')
  for (const element of body.querySelectorAll(OF_THE_PROGRAM)) element.remove()
  nestLists(body)
  joinLists(body)
  nameTitles(body)
  rankHeadings(body)
  for (const paragraph of body.querySelectorAll('p')) if (isSpacing(paragraph)) paragraph.remove()
  return body.innerHTML
}

/** Lists that lie beside the line they belong to, which HTML does not allow, come to lie in it. */
function nestLists(body: HTMLElement): void {
  for (const list of body.querySelectorAll('ul > ul, ul > ol, ol > ul, ol > ol')) {
    const line = list.previousElementSibling
    if (line?.localName === 'li') line.append(list)
  }
}

/** Some word processors write a document's title as a paragraph of a class. */
function nameTitles(body: HTMLElement): void {
  for (const title of body.querySelectorAll('p.MsoTitle')) rename(title, 'h1')
  for (const title of body.querySelectorAll('p.MsoSubtitle')) rename(title, 'h2')
}

/** The highest headings become our highest, whatever their numbers are; all others are below. */
function rankHeadings(body: HTMLElement): void {
  const headings = [...body.querySelectorAll('h1, h2, h3, h4, h5, h6')]
  const levels = headings.map(({ localName }) => Number(localName.slice(1)))
  const top = Math.min(...levels)
  headings.forEach((heading, n) => rename(heading, `h${levels[n] === top ? HIGHEST : LOWEST}`))
}

/** An empty paragraph is how word processors make room between two others. */
function isSpacing(paragraph: Element): boolean {
  return (paragraph.textContent ?? '').trim() === '' && paragraph.querySelector('img, br') === null
}

function rename(element: Element, name: string): void {
  if (element.localName === name) return
  const renamed = element.ownerDocument.createElement(name)
  renamed.append(...element.childNodes)
  element.replaceWith(renamed)
}
