// Going along another sheet of questions while one writes: fetched, taken up in one edit, or why it is not.
import type { Operation, PageDocument } from '@valise/core/pages'
import type { SheetVersion } from '@valise/core/sheets'
import { useState } from 'react'
import type { DraftSync } from '../saving/index.ts'
import { sheetApi } from './queries.ts'

/**
 * @param change the operations that bring a document to a sheet, or to none
 */
export function useTakeSheet(
  sync: DraftSync,
  change: (document: PageDocument, sheet: SheetVersion | null) => Operation[],
) {
  const [error, setError] = useState<unknown>(null)
  const [isTooLong, setIsTooLong] = useState(false)
  /** Goes along another sheet, or with '' along none. What was written stays. */
  const take = async (sheetId: string) => {
    setError(null)
    try {
      const sheet = sheetId === '' ? null : await sheetApi.fetchNewest(sheetId)
      sync.flush()
      setIsTooLong(!sync.act(change(sync.state().document, sheet)))
    } catch (failure) {
      setError(failure)
    }
  }
  return { take, error, isTooLong }
}
