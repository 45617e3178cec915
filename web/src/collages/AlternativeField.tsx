// What the collage shows, for those who do not see it: asked for, with a draft made from what its parts say.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { LONGEST_ALTERNATIVE_TEXT } from '@valise/core/evidence'
import type { Evidence } from '@valise/core/evidence'
import type { Collage, Pictured } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { useChangeEvidence } from '../evidence/base/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { useDraft } from './useDraft.ts'
import styles from './Collage.module.css'

interface AlternativeFieldProps {
  readonly item: Evidence
  readonly collage: Collage
  readonly pictures: readonly Pictured[]
}

export function AlternativeField({ item, collage, pictures }: AlternativeFieldProps) {
  const { t } = useTranslation('collage')
  const change = useChangeEvidence(item.id)
  const draft = useDraft(collage, pictures)
  const saved = useSavedText(item.alternativeText, (alternativeText) => change.mutate({ alternativeText }))
  return (
    <div className={styles.section}>
      <TextField
        label={t('alternative.label')}
        helperText={saved.text === '' ? t('alternative.owed') : undefined}
        size="small"
        multiline
        maxRows={8}
        fullWidth
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: LONGEST_ALTERNATIVE_TEXT } }}
      />
      {draft !== '' && draft !== saved.text ? (
        <Button size="small" onClick={() => saved.change(draft)}>
          {t(saved.text === '' ? 'alternative.draft' : 'alternative.anew')}
        </Button>
      ) : null}
      <Refusal error={change.error} />
    </div>
  )
}
