// Pictures that come along with pasted words, as whoever shows the text hears of them.

/** What was pasted into a text brings pictures with it; a text holds none, so whoever shows the text takes them. */
export const PASTED_PICTURES = 'pastedpictures'

export interface PastedPictures {
  readonly files: readonly File[]
  /** How many could not come along, as only their address was pasted. */
  readonly lost: number
  /** Whether there is nothing but pictures. */
  readonly isAll: boolean
}

/** Listens for pictures that were pasted into texts; returns a function that ends it. */
export function hearPictures(take: (pictures: PastedPictures, text: Element) => void): () => void {
  const hear = (event: Event) => {
    // Nothing else raises an event of this name.
    const { detail, target } = event as CustomEvent<PastedPictures>
    if (target instanceof Element) take(detail, target)
  }
  window.addEventListener(PASTED_PICTURES, hear)
  return () => window.removeEventListener(PASTED_PICTURES, hear)
}
