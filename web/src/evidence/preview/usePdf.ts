// A PDF that is open: its page on the canvas, and the words of that page.
import { useEffect, useRef, useState } from 'react'
import { openPdf } from './openPdf.ts'
import type { OpenedPdf } from './openPdf.ts'

export function usePdf(address: string) {
  const [pdf, setPdf] = useState<OpenedPdf | null>(null)
  const [isBroken, setIsBroken] = useState(false)
  const [page, setPage] = useState(1)
  const [words, setWords] = useState('')
  const canvas = useRef<HTMLCanvasElement>(null)

  useEffect(() => {
    let isGone = false
    let opened: OpenedPdf | null = null
    openPdf(address).then(
      (found) => {
        opened = found
        if (isGone) found.close()
        else setPdf(found)
      },
      () => setIsBroken(true),
    )
    return () => {
      isGone = true
      opened?.close()
    }
  }, [address])
  useEffect(() => {
    if (!pdf || !canvas.current) return
    const drawing = pdf.draw(page, canvas.current)
    drawing.done.then(setWords, () => undefined)
    return drawing.stop
  }, [pdf, page])
  return { pdf, isBroken, page, setPage, words, canvas }
}
