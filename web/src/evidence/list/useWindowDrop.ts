// What is dropped on the window or pasted into it, and whether something is being dragged over it.
import { useEffect, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { holdsFiles, readDrop, addFiles, filesPlace, listsUploads } from '../upload/index.ts'
import { gather, pastedAddress } from '../../gather/index.ts'
import { hearPictures } from '../../text/index.ts'
import { useClassInView } from '../base/index.ts'

/**
 * @param onPictures hears how many pictures came along with pasted words, and how many could not; always the same
 *   function
 */
export function useWindowDrop(onPictures: (came: number, lost: number) => void) {
  const [isOver, setIsOver] = useState(false)
  const navigate = useNavigate()
  const { pathname } = useLocation()
  const classId = useClassInView()
  const take = filesPlace.use()

  useEffect(() => {
    // Entering a child comes before leaving its parent, so only the last leaving means that the drag is gone.
    let depth = 0
    const land = (files: readonly File[]) => {
      if (files.length === 0) return
      if (take) return take(files, null)
      void addFiles(files, { classId })
      if (!listsUploads(pathname)) void navigate('/evidence')
    }
    const onEnter = (event: DragEvent) => {
      if (!holdsFiles(event.dataTransfer)) return
      depth += 1
      setIsOver(true)
    }
    const onLeave = (event: DragEvent) => {
      if (!holdsFiles(event.dataTransfer)) return
      depth -= 1
      if (depth === 0) setIsOver(false)
    }
    const onOver = (event: DragEvent) => {
      if (!holdsFiles(event.dataTransfer)) return
      event.preventDefault()
      event.dataTransfer.dropEffect = 'copy'
    }
    const onDrop = async (event: DragEvent) => {
      if (!holdsFiles(event.dataTransfer)) return
      depth = 0
      setIsOver(false)
      // A place within the screen took them.
      if (event.defaultPrevented) return
      event.preventDefault()
      land(await readDrop(event.dataTransfer))
    }
    const onPaste = (event: ClipboardEvent) => {
      const { clipboardData, target } = event
      if (!clipboardData || event.defaultPrevented || isWriting(target)) return
      const files = [...clipboardData.files]
      const text = clipboardData.getData('text/plain').trim()
      if (files.length > 0) {
        event.preventDefault()
        return land(files)
      }
      if (!/^https?:\/\/\S+$/i.test(text)) return
      event.preventDefault()
      pastedAddress.set(text)
      gather('link', { ...(classId !== null && { classId }) })
    }
    const endHearing = hearPictures(({ files, lost }, text) => {
      if (files.length === 0) return onPictures(0, lost)
      if (take) take(files, text)
      else void addFiles(files, { classId })
      onPictures(files.length, lost)
    })
    window.addEventListener('paste', onPaste)
    window.addEventListener('dragenter', onEnter)
    window.addEventListener('dragleave', onLeave)
    window.addEventListener('dragover', onOver)
    window.addEventListener('drop', onDrop)
    return () => {
      endHearing()
      window.removeEventListener('paste', onPaste)
      window.removeEventListener('dragenter', onEnter)
      window.removeEventListener('dragleave', onLeave)
      window.removeEventListener('dragover', onOver)
      window.removeEventListener('drop', onDrop)
    }
  }, [navigate, pathname, classId, take, onPictures])
  return { isOver, take }
}

/** What is pasted into a field or a text belongs there. */
function isWriting(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || target.closest('input, textarea, [role="dialog"]') !== null)
  )
}
