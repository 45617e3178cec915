// How many words the student writes, and the questions that they go along.
import TextField from '@mui/material/TextField'
import { MOST_STATEMENT_WORDS } from '@valise/core/assignments'
import type { RequirementOf } from '@valise/core/assignments'
import { useTranslation } from 'react-i18next'
import type { Texts } from '../../../ui/textLines.ts'
import type { FieldsProps } from '../RequirementUi.ts'

/** The questions by lines. */
export type StatementDraft = Omit<RequirementOf<'statement'>, 'questions'> & { readonly questions: Texts }

export function StatementFields({ requirement, language, onChange }: FieldsProps<StatementDraft>) {
  const { t } = useTranslation('assignments')
  const { questions } = requirement
  return (
    <>
      <TextField
        label={t('requirement.words')}
        type="number"
        size="small"
        sx={{ maxWidth: 160 }}
        value={requirement.words}
        onChange={(event) => {
          const words = Math.floor(Number(event.target.value) || 1)
          onChange({ ...requirement, words: Math.min(MOST_STATEMENT_WORDS, Math.max(1, words)) })
        }}
        slotProps={{ htmlInput: { min: 1, max: MOST_STATEMENT_WORDS } }}
      />
      <TextField
        label={t('requirement.questions')}
        helperText={t('requirement.questionsHint')}
        multiline
        minRows={2}
        fullWidth
        value={questions[language]}
        onChange={(event) =>
          onChange({ ...requirement, questions: { ...questions, [language]: event.target.value } })
        }
      />
    </>
  )
}
