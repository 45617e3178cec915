// Uploading in tests, as a tus client does it.
import type { Answer, TestBrowser } from './site.ts'

export interface FileToUpload {
  readonly name: string
  readonly content: Buffer
  readonly replaces?: string
  readonly lastModified?: number
  readonly recipe?: unknown
  readonly about?: string
  readonly moments?: unknown
}

export const TUS = { 'tus-resumable': '1.0.0' }
export const BYTES = { ...TUS, 'content-type': 'application/offset+octet-stream' }

/** Starts an upload; returns the response, with the address of the upload in its headers. */
export function beginUpload(browser: TestBrowser, file: FileToUpload): Promise<Answer> {
  const values = {
    filename: file.name,
    replaces: file.replaces,
    lastModified: file.lastModified,
    recipe: file.recipe && JSON.stringify(file.recipe),
    about: file.about,
    moments: file.moments && JSON.stringify(file.moments),
  }
  const metadata = Object.entries(values)
    .filter(([, value]) => value !== undefined)
    .map(([name, value]) => `${name} ${Buffer.from(String(value)).toString('base64')}`)
  return browser.ask('POST', '/api/uploads', undefined, {
    ...TUS,
    'upload-length': String(file.content.length),
    'upload-metadata': metadata.join(','),
  })
}

/** Uploads a whole file and returns what it became, or the refusal. */
export async function upload(browser: TestBrowser, file: FileToUpload): Promise<Answer> {
  const begun = await beginUpload(browser, file)
  if (begun.status !== 201) return begun
  const address = begun.headers.get('location') ?? ''
  const sent = await browser.ask('PATCH', address, file.content, { ...BYTES, 'upload-offset': '0' })
  return sent.status === 204 ? browser.get(address) : sent
}
