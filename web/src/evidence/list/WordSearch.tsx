// Words to find things by: also those inside documents and transcripts. The query follows while one types.
import InputAdornment from '@mui/material/InputAdornment'
import TextField from '@mui/material/TextField'
import { IconSearch } from '@tabler/icons-react'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'

const BREATH_MS = 250

interface WordSearchProps {
  readonly words: string
  readonly onChange: (words: string) => void
}

export function WordSearch({ words, onChange }: WordSearchProps) {
  const { t } = useTranslation('evidence')
  const [typed, setTyped] = useState(words)
  const [reported, setReported] = useState(words)
  // Words from elsewhere (the sentence, a saved search) are shown here; those typed here are here already.
  if (reported !== words) {
    setReported(words)
    if (typed.trim() !== words) setTyped(words)
  }
  const tell = useRef(onChange)
  useEffect(() => {
    tell.current = onChange
  })
  useEffect(() => {
    if (typed.trim() === words) return
    const timer = setTimeout(() => tell.current(typed.trim()), BREATH_MS)
    return () => clearTimeout(timer)
  }, [typed, words])
  return (
    <TextField
      type="search"
      size="small"
      placeholder={t('query.wordsIn')}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      sx={{ width: { xs: '100%', sm: 216 } }}
      slotProps={{
        htmlInput: { 'aria-label': t('query.wordsIn'), maxLength: 200 },
        input: {
          startAdornment: (
            <InputAdornment position="start">
              <IconSearch size={17} stroke={1.7} aria-hidden="true" />
            </InputAdornment>
          ),
        },
      }}
    />
  )
}
