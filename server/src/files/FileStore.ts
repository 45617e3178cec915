// The seam to where files lie: content by its SHA-256, and files on their way in. No path leaves it but for the time of `useLocally`.
import type { Readable } from 'node:stream'

export interface StoredFile {
  /** In hex, lower case. */
  readonly sha256: string
  readonly bytes: number
}

/** A byte range; both ends are included, as in HTTP. */
export interface ByteRange {
  readonly first: number
  readonly last: number
}

export interface FileStore {
  /** Keeps all of a stream and gives its name. Once this resolves, the bytes have reached the disk. */
  put(content: AsyncIterable<Uint8Array>): Promise<StoredFile>
  /** @throws AppError `not-found` when there is no such file. */
  open(sha256: string, range?: ByteRange): Promise<Readable>
  /**
   * Hands a file to a library that wants a path; it is there, and stays unchanged, until `use` has settled.
   *
   * @throws AppError `not-found` when there is no such file
   */
  useLocally<T>(sha256: string, use: (path: string) => Promise<T>): Promise<T>
  /**
   * Removes a file that nobody has put for `untouchedMs`; a file that was put again meanwhile stays.
   *
   * @returns whether it is gone
   */
  remove(sha256: string, untouchedMs: number): Promise<boolean>
  /** Every file there is, in no order. */
  list(): AsyncIterable<string>
  /** Files on their way in, by an id that the caller chose. */
  readonly incoming: IncomingFiles
  /** Bytes that can still be written, or null where the store cannot know. */
  freeBytes(): Promise<number | null>
}

export interface IncomingFiles {
  /**
   * Writes on at `offset` and gives where it stands then. What was written before an error stays and can be gone on
   * from, but where the disk is full nothing of this call stays.
   *
   * @throws AppError `no-space` when the disk is full
   */
  append(id: string, offset: number, content: AsyncIterable<Uint8Array>): Promise<number>
  /** How much of it is there: 0 for one that was never begun. */
  received(id: string): Promise<number>
  /** Puts what has come in among the files. It stays here as well until it is dropped, so that this can be repeated. */
  save(id: string): Promise<StoredFile>
  drop(id: string): Promise<void>
  list(): AsyncIterable<string>
  /** Removes what a server that stopped half-way left here, once it is so old that nobody works on it. */
  clearLeftovers(untouchedMs: number): Promise<void>
}
