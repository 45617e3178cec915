// What is fetched when it is first needed.

/** What an earlier window could not deliver goes out now. Most devices have nothing, and fetch nothing for it. */
export async function deliverWhatWasLeft(personId: string): Promise<void> {
  const stores = (await globalThis.indexedDB?.databases()) ?? []
  if (!stores.some(({ name }) => name === 'valise')) return
  const { deliverLeftBehind } = await import('./draftWindows.ts')
  await deliverLeftBehind(personId)
}
