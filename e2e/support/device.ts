// What lies on a device, as anybody finds it who opens the browser's storage.
import type { Page } from '@playwright/test'

interface Stored {
  /** Such as `valise/sealed` for a store of a database, or `localStorage`. */
  readonly store: string
  /** Its key and everything in it, bytes as letters. */
  readonly text: string
}

/** Returns everything that this page's site has stored in the browser, whatever the kind of store. */
export function onDevice(page: Page): Promise<Stored[]> {
  return page.evaluate(async () => {
    const answer = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => resolve(request.result)
        request.onerror = () => reject(request.error ?? new Error('the store did not answer'))
      })
    const toText = (value: unknown): string =>
      JSON.stringify(value, (_, part: unknown) =>
        part instanceof ArrayBuffer || ArrayBuffer.isView(part)
          ? new TextDecoder('latin1').decode(part as ArrayBuffer)
          : part,
      )
    const found: { store: string; text: string }[] = []
    for (const { name = '' } of await indexedDB.databases()) {
      const database = await answer(indexedDB.open(name))
      for (const store of database.objectStoreNames) {
        const open = database.transaction(store).objectStore(store)
        const [keys, values] = await Promise.all([answer(open.getAllKeys()), answer(open.getAll())])
        values.forEach((value, n) =>
          found.push({ store: `${name}/${store}`, text: toText([keys[n], value]) }),
        )
      }
      database.close()
    }
    for (const [store, content] of Object.entries({ localStorage, sessionStorage }))
      for (const entry of Object.entries(content)) found.push({ store, text: toText(entry) })
    for (const name of await caches.keys())
      for (const { url } of await (await caches.open(name)).keys()) {
        const cached = await caches.match(url)
        found.push({ store: `cache ${name}`, text: toText([url, await cached?.text()]) })
      }
    return found
  })
}

/** Returns everything unsent on this device. */
export async function unsentOnDevice(page: Page): Promise<string> {
  const all = await onDevice(page)
  return all.flatMap(({ store, text }) => (store === 'valise/sealed' ? [text] : [])).join()
}
