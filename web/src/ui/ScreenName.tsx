// Says the name of each new screen to those who do not see it; a title that is typed on is not read out at every key.
import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { usePlace } from './place.ts'

/** Screens are fetched with their data: their name stands once it has rested for so long. */
const REST_MS = 400

export function ScreenName() {
  const { pathname } = useLocation()
  const { name, title } = usePlace()
  const [said, setSaid] = useState({ pathname, words: '' })
  const words = title ?? name
  const isNew = said.pathname !== pathname
  useEffect(() => {
    if (!isNew) return
    const timer = setTimeout(() => setSaid({ pathname, words }), REST_MS)
    return () => clearTimeout(timer)
  }, [isNew, pathname, words])
  return (
    <span className="only-heard" role="status">
      {said.words}
    </span>
  )
}
