// What a picture shows, or what is said in a recording: the words for those who do not see or hear it.
import TextField from '@mui/material/TextField'
import { isShownAsPicture, LONGEST_ALTERNATIVE_TEXT, LONGEST_TRANSCRIPT } from '@valise/core/evidence'
import type { Evidence, EvidenceChange } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSavedText } from '../../ui/useSavedText.ts'

interface WordsForOthersProps {
  readonly item: Evidence
  readonly readOnly: boolean
  readonly onSave: (words: EvidenceChange) => void
}

export function WordsForOthers({ item, readOnly, onSave }: WordsForOthersProps) {
  const { t } = useTranslation('evidence')
  const isPicture = isShownAsPicture(item.kind)
  const isHeard = item.kind === 'audio' || item.kind === 'video'
  const saved = useSavedText(isPicture ? item.alternativeText : item.transcript, (words) =>
    onSave(isPicture ? { alternativeText: words } : { transcript: words }),
  )
  if (!isPicture && !isHeard) return null
  const owed =
    !isPicture || saved.text !== ''
      ? undefined
      : item.kind === 'collage'
        ? t('drawer.draftCollage')
        : item.title === ''
          ? undefined
          : t('drawer.showsDraft', { title: item.title })
  return (
    <TextField
      label={t(isPicture ? 'drawer.shows' : 'drawer.said')}
      helperText={owed ?? t(isPicture ? 'drawer.showsHint' : 'drawer.saidHint')}
      size="small"
      multiline
      maxRows={8}
      fullWidth
      value={saved.text}
      onChange={(event) => saved.change(event.target.value)}
      onBlur={saved.leave}
      slotProps={{
        htmlInput: { maxLength: isPicture ? LONGEST_ALTERNATIVE_TEXT : LONGEST_TRANSCRIPT, readOnly },
      }}
    />
  )
}
