// Question sheets as a room of offered things: everybody may write them.
import { AppError } from '@valise/core/problems'
import { sheetFaults, shippedSheets } from '@valise/core/sheets'
import type { SheetContent } from '@valise/core/sheets'
import { offeredRoom } from '../offers/index.ts'

export const sheetRoom = offeredRoom<SheetContent>({
  kind: 'sheet',
  shipped: shippedSheets,
  blank: (title) => ({ title, about: {}, questions: [] }),
  sizeOf: ({ questions }) => questions.length,
  mayWrite: () => true,
  faultOf: (content) => {
    const [fault] = sheetFaults(content)
    if (!fault) return null
    const params = 'question' in fault ? { question: fault.question } : {}
    return new AppError('invalid', `sheet-lacks-${fault.what}`, { params })
  },
})
