// Marking a page of a PDF: the page becomes a picture of its own, on which marks stay editable; the document stays as it is.
import type { Evidence } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { addFiles } from '../upload/index.ts'
import { useDeclareRights, useEvidenceWords } from '../base/index.ts'
import type { OpenedPdf } from './openPdf.ts'

/** Pixels across: fine enough for small print. */
const WIDTH = 1800

export interface MarkingOfPage {
  readonly isRunning: boolean
  readonly error: unknown
  mark(pdf: OpenedPdf, page: number): void
}

export function useMarkPage(item: Evidence): MarkingOfPage {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const navigate = useNavigate()
  const declare = useDeclareRights()
  const [isRunning, setIsRunning] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const fail = (problem: unknown) => {
    setIsRunning(false)
    setError(problem)
  }
  const open = async (id: string) => {
    // The page is whose the document is.
    if (item.rights.state === 'licensed') await declare.mutateAsync({ ids: [id], rights: item.rights })
    await navigate(`/evidence/${id}/bench`, { state: { tool: 'draw' } })
  }
  const begin = async (pdf: OpenedPdf, page: number) => {
    const canvas = document.createElement('canvas')
    await pdf.draw(page, canvas, WIDTH).done
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
    if (!blob) throw new Error('this browser gives no picture of a page')
    const name = t('pdf.pageOf', { title: words.title(item), page })
    // Pages of one document that were marked before are gone on with: the same picture is the same item.
    await addFiles([new File([blob], `${name}.png`, { type: 'image/png' })], {
      classId: item.classId,
      isMine: item.rights.state === 'mine',
      onSaved: (id) => void open(id).catch(fail),
      onRefused: fail,
    })
  }
  return {
    isRunning,
    error,
    mark: (pdf, page) => {
      setIsRunning(true)
      setError(null)
      void begin(pdf, page).catch(fail)
    },
  }
}
