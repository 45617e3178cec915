// Text in a box: wrapped to its width, with typed line breaks.
import type { Drawing } from './drawing.ts'

/** The distance of lines, in font sizes. */
export const LINE_HEIGHT = 1.25

/**
 * Breaks a text into lines.
 *
 * @param measure a context whose font is already set
 * @param width the most that a line may take, in the units of the font size
 */
export function layOutWords(measure: Pick<Drawing, 'measureText'>, words: string, width: number): string[] {
  return words.split('\n').flatMap((line) => breakLine(measure, line, width))
}

function breakLine(measure: Pick<Drawing, 'measureText'>, line: string, width: number): string[] {
  const lines: string[] = []
  let present = ''
  for (const word of line.split(' ')) {
    const longer = present === '' ? word : `${present} ${word}`
    if (present === '' || measure.measureText(longer).width <= width) present = longer
    else {
      lines.push(present)
      present = word
    }
    // A word that is longer than a line goes on in the next.
    while (measure.measureText(present).width > width && [...present].length > 1) {
      const letters = [...present]
      let fitting = letters.length - 1
      while (fitting > 1 && measure.measureText(letters.slice(0, fitting).join('')).width > width)
        fitting -= 1
      lines.push(letters.slice(0, fitting).join(''))
      present = letters.slice(fitting).join('')
    }
  }
  return [...lines, present]
}
