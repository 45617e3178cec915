// What the server has not got yet, kept on this device over a reload, by the address under which it is kept there.

const keyOf = (address: string) => `valise-waiting-${address}`

/** Where the device has no room left, the server alone keeps it: as it is asked to at the same time. */
export function remember(address: string, document: unknown): void {
  try {
    localStorage.setItem(keyOf(address), JSON.stringify(document))
  } catch (error) {
    if (!(error instanceof DOMException)) throw error
    localStorage.removeItem(keyOf(address))
  }
}

export function remembered<T>(address: string): T | null {
  const text = localStorage.getItem(keyOf(address))
  // Only `remember` writes it, with the same address.
  return text === null ? null : (JSON.parse(text) as T)
}

export function forget(address: string): void {
  localStorage.removeItem(keyOf(address))
}
