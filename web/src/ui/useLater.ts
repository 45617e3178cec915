// A value that follows another one after a breath: for asking the server while somebody types.
import { useEffect, useState } from 'react'

const BREATH_MS = 250

export function useLater<T>(value: T): T {
  const [later, setLater] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setLater(value), BREATH_MS)
    return () => clearTimeout(timer)
  }, [value])
  return later
}
