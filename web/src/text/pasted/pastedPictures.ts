// The pictures in what is pasted, as files: those that lie in it, and how many only point at where they lie.
import type { PastedPictures } from './hearPictures.ts'
import { picturesInRtf } from './picturesInRtf.ts'

type Pasted = Pick<DataTransfer, 'getData'> & { readonly files: Iterable<File> }

const IN_PLACE = /^data:(image\/[\w.+-]+);base64,(.+)$/s

/** Returns the pictures in the clipboard. */
export function picturesIn(pasted: Pasted): PastedPictures {
  const html = pasted.getData('text/html')
  const { body } = new DOMParser().parseFromString(html, 'text/html')
  const images = [...body.querySelectorAll('img')]
  const isAll = `${body.textContent ?? ''}${pasted.getData('text/plain')}`.trim() === ''
  const whole = [...pasted.files].filter(({ type }) => type.startsWith('image/'))
  if (images.length === 0) return { files: whole, lost: 0, isAll }
  // What points at a file of the device lies in the same order in the other form that a word processor writes.
  const beside = [...whole, ...picturesInRtf(pasted.getData('text/rtf'))]
  const files = images.flatMap((image, n): File[] => {
    const [, type, data] = IN_PLACE.exec(image.getAttribute('src') ?? '') ?? []
    const bytes = type === undefined || data === undefined ? null : bytesOf(data)
    const picture = bytes && type !== undefined ? new Blob([bytes], { type }) : beside.shift()
    return picture ? [named(picture, image.getAttribute('alt') ?? '', n)] : []
  })
  return { files, lost: images.length - files.length, isAll }
}

/** Named by its description, as far as it has one. */
function named(picture: Blob, description: string, n: number): File {
  if (picture instanceof File) return picture
  const ending = picture.type
    .replace(/^image\//, '')
    .replace(/^jpeg$/, 'jpg')
    .replace(/\+.*$/, '')
  const words = description
    .replace(/[^\p{L}\p{N} ,-]/gu, '')
    .trim()
    .slice(0, 60)
  return new File([picture], `${words || `pasted-${n + 1}`}.${ending}`, { type: picture.type })
}

function bytesOf(base64: string): Uint8Array<ArrayBuffer> | null {
  try {
    return Uint8Array.from(atob(base64.replace(/\s/g, '')), (character) => character.charCodeAt(0))
  } catch {
    return null
  }
}
