// Resumable upload by the tus protocol, version 1.0.0 (creation, termination): every verb asks whose upload it is.
import { DataStore, MemoryLocker, Server, Upload } from '@tus/server'
import { momentsSchema, uploadMetadataSchema } from '@valise/core/evidence'
import type { Moment, UploadMetadata } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { recipeSchema } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import { AppError } from '@valise/core/problems'
import type { Hono } from 'hono'
import type { TSchema } from 'typebox'
import type { Readable } from 'node:stream'
import { v7 as uuidv7 } from 'uuid'
import { isDiskFull } from '../system/index.ts'
import { getSignedIn } from '../http/index.ts'
import { parseInput } from '../validation/index.ts'
import type { Authenticate, HttpServices } from '../http/index.ts'
import type { EvidenceServices } from './services.ts'
import { beginUpload, cancelUpload, finishUpload, getUpload, getUploadState } from './uploadService.ts'

const PATH = '/api/uploads'
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

/** What belongs to one request while the protocol's library handles it. */
interface UploadCall {
  readonly actor: PersonActor
  /** The refusal that ended it, in our own words. */
  refusal: unknown
}

export function mountUploads(
  app: Hono,
  services: EvidenceServices & HttpServices,
  authenticate: Authenticate,
): void {
  const calls = new WeakMap<Request, UploadCall>()
  const store = new UploadsInStore(services)
  const server = makeTusServer(services, store, (request) => {
    const call = calls.get(request)
    if (!call) throw new Error('an upload without a caller')
    return call
  })

  app.all(`${PATH}/:id?`, async (c, next) => {
    const request = c.req.raw
    // What is on its way can also be asked for as JSON, by routes of the usual kind.
    if (request.method === 'GET') return next()
    const call: UploadCall = { actor: await getSignedIn(c, services, authenticate), refusal: null }
    calls.set(request, call)
    const response = await server.handleWeb(request)
    // The library may tell a disk that is full as a request that was broken off, before the write has ended.
    const full = await store.takeDiskFull(c.req.param('id'))
    const refusal = full ?? call.refusal
    if (refusal !== null) throw refusal
    const headers = new Headers(response.headers)
    // Other sites have no business here; the library opens itself to them.
    for (const name of [...headers.keys()]) if (name.startsWith('access-control-')) headers.delete(name)
    headers.set('cache-control', 'no-store')
    return new Response(response.body, { status: response.status, headers })
  })
}

function makeTusServer(
  services: EvidenceServices,
  store: UploadsInStore,
  callOf: (request: Request) => UploadCall,
): Server {
  return new Server({
    path: PATH,
    relativeLocation: true,
    datastore: store,
    locker: new MemoryLocker(),
    // The upload's id becomes the id of the item that it makes.
    namingFunction: () => uuidv7(),
    getFileIdFromRequest: (_, id) => (id !== undefined && UUID.test(id) ? id : undefined),
    onUploadCreate: async (request, upload) => {
      const { actor } = callOf(request)
      await beginUpload(services, actor, {
        id: upload.id,
        bytes: upload.size ?? 0,
        metadata: readMetadata(upload),
        recipe: readExtra<PictureRecipe>(upload, 'recipe', recipeSchema),
        moments: readExtra<Moment[]>(upload, 'moments', momentsSchema) ?? [],
      })
      return {}
    },
    onIncomingRequest: async (request, id) => {
      // A new upload has no owner yet: whoever creates it.
      if (request.method === 'POST') return
      const { actor } = callOf(request)
      const upload = await getUpload(services.database.reader(), services, actor, id)
      // All of it was there when the server stopped: the client only asks how far it is.
      const isArrived = upload.outcome === null && upload.received === upload.bytes
      if (request.method === 'HEAD' && isArrived) await finishUpload(services, actor, id)
    },
    onUploadFinish: async (request, upload) => {
      await finishUpload(services, callOf(request).actor, upload.id)
      return {}
    },
    onResponseError: (request, error) => {
      callOf(request).refusal = toRefusal(error)
      return undefined
    },
  })
}

/** Stores the library's bytes and offsets in our file store and our tables. */
class UploadsInStore extends DataStore {
  readonly #services: EvidenceServices
  readonly #writing = new Map<string, Promise<number>>()

  constructor(services: EvidenceServices) {
    super()
    this.#services = services
    this.extensions = ['creation', 'termination']
  }

  // The row was written when the upload was allowed, with its owner, which is not known here.
  override create = async (upload: Upload) => upload

  override async getUpload(id: string): Promise<Upload> {
    const { bytes, received, startedAt } = await getUploadState(this.#services, id)
    return new Upload({ id, size: bytes, offset: received, creation_date: startedAt })
  }

  override write(content: Readable, id: string, offset: number): Promise<number> {
    const written = this.#services.files.incoming.append(id, offset, content)
    this.#writing.set(id, written)
    return written
  }

  /** Waits for the last write to an upload. @returns its error where it found the disk full, else null */
  async takeDiskFull(id: string | undefined): Promise<unknown> {
    const written = id === undefined ? undefined : this.#writing.get(id)
    if (id !== undefined) this.#writing.delete(id)
    return (
      (await written?.then(
        () => null,
        (error: unknown) => (isDiskFull(error) ? error : null),
      )) ?? null
    )
  }

  override remove(id: string): Promise<void> {
    return cancelUpload(this.#services, id)
  }
}

function readMetadata(upload: Upload): UploadMetadata {
  // Checked against the schema that the type comes from.
  return parseInput(uploadMetadataSchema, { ...upload.metadata }, true) as UploadMetadata
}

/** What else comes with a file, as JSON. What does not fit is left out: no file is refused for it. */
function readExtra<T>({ metadata }: Upload, name: string, schema: TSchema): T | null {
  const text = metadata?.[name]
  if (!text) return null
  try {
    // Checked against the schema that the type comes from.
    return parseInput(schema, JSON.parse(text)) as T
  } catch (error) {
    if (error instanceof AppError || error instanceof SyntaxError) return null
    throw error
  }
}

/**
 * The library refuses with a number and a text. Those that a person can act on become our own refusals; a wrong
 * offset or a broken connection is between the two programs, which know what to do.
 */
function toRefusal(error: unknown): unknown {
  if (error instanceof Error) return error
  const status = typeof error === 'object' && error && 'status_code' in error ? error.status_code : 0
  switch (status) {
    case 404:
    case 410:
      return new AppError('not-found', 'not-found')
    case 413:
      return new AppError('too-large', 'too-large')
    default:
      return null
  }
}
