// The address of a file that lies in this window alone.
import { useEffect, useMemo } from 'react'

export function useObjectUrl(file: Blob | null): string | null {
  const address = useMemo(() => (file ? URL.createObjectURL(file) : null), [file])
  useEffect(() => () => void (address && URL.revokeObjectURL(address)), [address])
  return address
}
