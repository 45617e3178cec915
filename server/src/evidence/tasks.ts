// What evidence has done in worker processes: each task by its name.
import type { DataTable } from '@valise/core/evidence'
import type { FileStore } from '../files/index.ts'
import { examineFile } from './examineFile.ts'
import type { Examined, FileToExamine } from './examineFile.ts'
import { readInside } from './readInside.ts'
import type { FileToRead, ReadFile } from './readInside.ts'
import { readTable } from './readTable.ts'
import type { TableToRead } from './readTable.ts'
import { paintBoard } from './paintBoard.ts'
import type { BoardToPaint, PaintedBoard } from './paintBoard.ts'
import { renderPicture } from './renderPicture.ts'
import type { PictureToRender, RenderedPicture } from './renderPicture.ts'

export type EvidenceTasks = {
  readonly examine: { readonly input: FileToExamine; readonly output: Examined }
  readonly render: { readonly input: PictureToRender; readonly output: RenderedPicture }
  readonly board: { readonly input: BoardToPaint; readonly output: PaintedBoard }
  readonly read: { readonly input: FileToRead; readonly output: ReadFile }
  readonly table: { readonly input: TableToRead; readonly output: DataTable }
}

/** Returns the worker tasks over a file store. */
export function evidenceTasks(files: FileStore) {
  return {
    examine: (input: FileToExamine) => examineFile(files, input),
    render: (input: PictureToRender) => renderPicture(files, input),
    board: (input: BoardToPaint) => paintBoard(files, input),
    read: (input: FileToRead) => readInside(files, input),
    table: (input: TableToRead) => readTable(files, input),
  }
}
