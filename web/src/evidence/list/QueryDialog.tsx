// The query as a plain form, with all that the sentence, the toggles and the ribbon can say; and queries under a name.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { cleanTags, evidenceMarks, evidenceOrders, everything } from '@valise/core/evidence'
import type { EvidenceCounts, EvidenceQuery } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSession } from '../../session/index.ts'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { SelectField } from '../../ui/SelectField.tsx'
import { evidenceQueries, TagInput } from '../base/index.ts'
import { KindChoices } from './KindClause.tsx'
import { TimeFields } from './TimeClause.tsx'
import styles from './QueryDialog.module.css'

interface QueryDialogProps {
  readonly query: EvidenceQuery
  readonly counts: EvidenceCounts | undefined
  readonly onChange: (change: Partial<EvidenceQuery>) => void
  readonly onClose: () => void
}

export function QueryDialog({ query, counts, onChange, onClose }: QueryDialogProps) {
  const { t } = useTranslation(['evidence', 'app'])
  const { memberships } = useSession()
  const inUse = useQuery(evidenceQueries.tags())
  return (
    <Dialog open onClose={onClose} aria-labelledby="change-query" fullWidth maxWidth="sm">
      <DialogTitle id="change-query" variant="h2">
        {t('query.changeTitle')}
      </DialogTitle>
      <DialogContent>
        <div className={styles.form}>
          <TextField
            size="small"
            label={t('query.words')}
            helperText={t('query.wordsHelp')}
            value={query.words}
            onChange={(event) => onChange({ words: event.target.value })}
          />
          <fieldset>
            <legend>{t('query.kind')}</legend>
            <KindChoices
              kinds={query.kinds}
              counts={counts?.kinds}
              onChange={(kinds) => onChange({ kinds })}
            />
          </fieldset>
          <TagInput
            label={t('tags.label')}
            tags={query.tags}
            options={(inUse.data ?? []).map(({ tag }) => tag)}
            onChange={(tags) => onChange({ tags: cleanTags(tags) })}
          />
          <ChoiceBar
            label={t('query.howTagged')}
            value={query.tagged}
            choices={[
              ['any', t('query.anyOfThem')],
              ['all', t('query.allOfThem')],
            ]}
            onChange={(tagged) => onChange({ tagged })}
          />
          {memberships.length > 0 ? (
            <SelectField
              label={t('query.class')}
              value={query.classId ?? ''}
              choices={[
                ['', t('query.anyClassAlone')],
                ...memberships.map(({ classId, className }) => [classId, className] as const),
              ]}
              onChange={(classId) => onChange({ classId: classId === '' ? null : classId })}
            />
          ) : null}
          <TimeFields query={query} onChange={onChange} />
          <fieldset>
            <legend>{t('marks.label')}</legend>
            {evidenceMarks.map((mark) => (
              <FormControlLabel
                key={mark}
                label={`${t(`marks.${mark}`)} (${counts?.marks[mark] ?? 0})`}
                control={
                  <Checkbox
                    size="small"
                    checked={query.marks.includes(mark)}
                    onChange={(_event, isOn) =>
                      onChange({
                        marks: evidenceMarks.filter((one) =>
                          one === mark ? isOn : query.marks.includes(one),
                        ),
                      })
                    }
                  />
                }
              />
            ))}
          </fieldset>
          <SelectField
            label={t('query.order')}
            value={query.order}
            choices={evidenceOrders.map((order) => [order, t(`query.orders.${order}`)] as const)}
            onChange={(value) =>
              onChange({ order: evidenceOrders.find((order) => order === value) ?? 'latest' })
            }
          />
        </div>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={() => onChange(everything)}>
          {t('query.everything')}
        </Button>
        <Button variant="contained" color="primary" onClick={onClose}>
          {t('query.show', { count: counts?.matching ?? 0 })}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
