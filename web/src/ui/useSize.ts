// Numbers of bytes in words, in the language of the screen.
import { sizeInWords } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'

export function useSize(): (bytes: number) => string {
  const { i18n } = useTranslation()
  return (bytes) => sizeInWords(bytes, i18n.language)
}
