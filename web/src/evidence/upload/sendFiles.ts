// Sends files from this window: a few at a time, by themselves, whatever screen is open.
import { cleanFileName } from '@valise/core/evidence'
import type { Upload } from '@valise/core/evidence'
import { ApiProblem, tellChanged } from '../../api/index.ts'
import { noteSaving, noteSaved, noteRefused, queryClient } from '../../saving/index.ts'
import { loseWhereSignedOut, isLeaving } from '../../session/index.ts'
import { noteArrival } from './arrivals.ts'
import { savePoster } from './savePoster.ts'
import { isUnreadable } from './droppedFiles.ts'
import { sendFile } from './resumableUpload.ts'
import type { Sending } from './resumableUpload.ts'
import { getUpload, giveUpUpload, listUploads, uploadQueries } from './uploadQueries.ts'
import { isUploading, uploadsHere } from './uploadsHere.ts'
import type { UploadHere, UploadLanding } from './uploadsHere.ts'

export interface AddOptions extends UploadLanding {
  readonly replaces?: string
}

const AT_ONCE = 3

const sendings = new Map<number, Promise<Sending>>()
let nextKey = 1

/** Starts sending files, a few at a time. */
export async function sendFiles(files: readonly File[], { replaces, ...landing }: AddOptions): Promise<void> {
  const added = files.map((file): UploadHere => {
    const isEmpty = file.size === 0
    return {
      key: nextKey++,
      file,
      replaces: replaces ?? null,
      landing,
      state: isEmpty ? 'refused' : 'waiting',
      sent: 0,
      uploadId: null,
      outcome: null,
      problem: isEmpty ? problemOfNothing(file) : null,
    }
  })
  window.addEventListener('beforeunload', askBeforeClosing)
  uploadsHere.set([...uploadsHere.get().filter((one) => one.state !== 'arrived'), ...added])
  for (const one of added) if (one.state === 'waiting') noteSaving()
  const open = await openUploadsOrNone()
  for (const { key, file } of added) {
    const begun = open.find((one) => isSameFile(one, file) && one.replaces === (replaces ?? null))
    if (begun) change(key, { uploadId: begun.id, sent: begun.received })
  }
  sendNext()
}

/** Pauses an upload; what has arrived stays. */
export async function pause(key: number): Promise<void> {
  const upload = find(key)
  if (!upload || !isUploading(upload)) return
  change(key, { state: 'paused' })
  await stopSending(key)
  sendNext()
}

/** Resumes an upload that was paused, or refused for a reason that is gone. */
export function goOn(key: number): void {
  const state = find(key)?.state
  if (state !== 'refused' && state !== 'paused') return
  if (state === 'refused') noteSaving()
  change(key, { state: 'waiting', problem: null })
  sendNext()
}

/** Cancels an upload and removes it from the list; what has arrived is deleted. */
export async function giveUp(key: number): Promise<void> {
  const upload = find(key)
  if (!upload) return
  await stopSending(key)
  if (isUploading(upload)) noteSaved()
  uploadsHere.set(uploadsHere.get().filter((one) => one.key !== key))
  if (upload.uploadId !== null && upload.outcome === null) {
    // If the server cannot be reached, it deletes the upload by itself after some days.
    await giveUpUpload(upload.uploadId).catch(() => undefined)
  }
  await queryClient.invalidateQueries({ queryKey: uploadQueries.open().queryKey })
  sendNext()
}

/** Removes completed and refused uploads from the list. */
export function clearDone(): void {
  uploadsHere.set(uploadsHere.get().filter(isUploading))
}

function sendNext(): void {
  const all = uploadsHere.get()
  const going = all.filter(({ state }) => state === 'going' || state === 'pausing').length
  for (const next of all.filter(({ state }) => state === 'waiting').slice(0, AT_ONCE - going)) void send(next)
}

async function send({ key, file, replaces, landing, uploadId }: UploadHere): Promise<void> {
  change(key, { state: 'going' })
  const metadata = {
    filename: file.name,
    lastModified: String(Math.max(0, file.lastModified)),
    ...(replaces !== null && { replaces }),
    ...(landing.classId && { classId: landing.classId }),
    ...(landing.assignmentId !== undefined && { assignmentId: landing.assignmentId }),
    ...(landing.isMine === true && { mine: 'yes' }),
    ...(landing.about !== undefined && { about: landing.about }),
    ...(landing.moments && { moments: JSON.stringify(landing.moments) }),
    ...(landing.recipe && { recipe: JSON.stringify(landing.recipe) }),
    ...(landing.durationMs !== undefined && { durationMs: String(landing.durationMs) }),
  }
  const sending = sendFile(
    { file, metadata, uploadId },
    {
      onBegun: (id) => change(key, { uploadId: id }),
      onProgress: (sent) => changeOnLine(key, { state: 'going', sent }),
      onPause: () => changeOnLine(key, { state: 'pausing' }),
      onDone: () => void arrive(key),
      onRefused: (problem) => refuse(key, problem),
    },
  )
  sendings.set(key, sending)
  // The protocol's library could not be fetched.
  await sending.catch((error: unknown) => refuse(key, new ApiProblem(null, error)))
}

async function stopSending(key: number): Promise<void> {
  const sending = sendings.get(key)
  sendings.delete(key)
  // One that never began has nothing to stop, and has been refused already.
  const begun = await sending?.catch(() => null)
  await begun?.stop()
}

async function arrive(key: number): Promise<void> {
  const upload = find(key)
  if (!upload?.uploadId) return
  try {
    const { outcome } = await getUpload(upload.uploadId)
    change(key, { state: 'arrived', sent: upload.file.size, outcome })
    noteSaved()
    tellArrival(upload, outcome)
    await tellChanged(queryClient, ['evidence'])
  } catch (error) {
    refuse(key, error instanceof ApiProblem ? error : new ApiProblem(null, error))
  }
  finish(key)
}

function refuse(key: number, problem: ApiProblem): void {
  // The upload that was to be gone on with is gone: begin it anew.
  if (problem.code === 'not-found' && find(key)?.uploadId) {
    change(key, { uploadId: null, sent: 0, state: 'waiting' })
    return sendNext()
  }
  if (!find(key)) return
  change(key, { state: 'refused', problem })
  find(key)?.landing.onRefused?.(problem)
  noteRefused()
  loseWhereSignedOut(problem)
  finish(key)
}

/** Whoever wanted the file hears of it; everywhere else it is named where one is. */
function tellArrival({ file, landing }: UploadHere, outcome: Upload['outcome']): void {
  landing.onArrived?.()
  if (outcome === null) return
  if (landing.onSaved) landing.onSaved(outcome.evidenceId)
  else if (outcome.kind === 'new') noteArrival(outcome.evidenceId)
  if (outcome.kind !== 'same' && file.type.startsWith('video/')) void savePoster(outcome.evidenceId, file)
}

function finish(key: number): void {
  sendings.delete(key)
  void queryClient.invalidateQueries({ queryKey: uploadQueries.open().queryKey })
  sendNext()
}

function find(key: number): UploadHere | undefined {
  return uploadsHere.get().find((one) => one.key === key)
}

function change(key: number, to: Partial<UploadHere>): void {
  uploadsHere.set(uploadsHere.get().map((one) => (one.key === key ? { ...one, ...to } : one)))
}

/** What the line tells late of one that was paused meanwhile changes nothing. */
function changeOnLine(key: number, to: Partial<UploadHere>): void {
  if (find(key)?.state !== 'paused') change(key, to)
}

/** Returns whether a file is that of an upload, by name, size and last change. */
export function isSameFile(upload: Pick<Upload, 'fileName' | 'bytes' | 'lastModified'>, file: File): boolean {
  const isOfSameAge = upload.bytes === file.size && upload.lastModified === file.lastModified
  return isOfSameAge && upload.fileName === cleanFileName(file.name)
}

async function openUploadsOrNone(): Promise<readonly Upload[]> {
  try {
    return (await listUploads()).open
  } catch {
    // Without an answer nothing can be gone on with; sending says why by itself.
    return []
  }
}

/** Why there is nothing in a file. */
function problemOfNothing(file: File): ApiProblem {
  return ApiProblem.ofDevice(isUnreadable(file) ? 'file-unreadable' : 'file-empty')
}

/** Whoever closes the window while something is on its way is asked; whoever is signed out is not. */
function askBeforeClosing(event: BeforeUnloadEvent): void {
  if (uploadsHere.get().some(isUploading) && !isLeaving()) event.preventDefault()
}
