// Changing the parts of a list that is written: questions, steps, attributes.

interface Part {
  readonly id: string
}

export function partActs<T extends Part>(parts: readonly T[], set: (parts: T[]) => void) {
  return {
    add: (part: T) => set([...parts, part]),
    change: (part: T) => set(parts.map((one) => (one.id === part.id ? part : one))),
    remove: (id: string) => set(parts.filter((one) => one.id !== id)),
    /** Moves a part to a place, from 0. */
    move: (id: string, to: number) => {
      const part = parts.find((one) => one.id === id)
      if (!part) return
      const others = parts.filter((one) => one.id !== id)
      set([...others.slice(0, to), part, ...others.slice(to)])
    },
  }
}
