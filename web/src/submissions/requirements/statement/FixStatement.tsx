// A statement to be written: choosing the item that it is about, and writing, with the count beside it.
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { countStatementWords } from '@valise/core/assignments'
import type { RequirementOf } from '@valise/core/assignments'
import type { Evidence } from '@valise/core/evidence'
import { LONGEST_STATEMENT } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, useChangeEvidence } from '../../../evidence/base/index.ts'
import { Fetched } from '../../../ui/Fetched.tsx'
import { Refusal } from '../../../ui/Refusal.tsx'
import { SelectField } from '../../../ui/SelectField.tsx'
import { useSavedText } from '../../../ui/useSavedText.ts'
import { useSubmissionWords } from '../../useSubmissionWords.ts'
import type { FixProps } from '../RequirementUi.ts'
import styles from '../../Readiness.module.css'

export function FixStatement({ checked: { requirement, result }, handIn }: FixProps<'statement'>) {
  const { t } = useTranslation('submissions')
  const { items } = handIn
  // Whoever chose one keeps it, also while another one has more words.
  const [chosen, setChosen] = useState(result.item?.id ?? items[0]?.id ?? null)
  if (chosen === null) return <p className={styles.lead}>{t('mend.nothingIn')}</p>
  return (
    <>
      {items.length > 1 ? (
        <SelectField
          label={t('mend.about')}
          value={chosen}
          choices={items.map(({ id, title }) => [id, title] as const)}
          onChange={setChosen}
          fullWidth
        />
      ) : (
        <p className={styles.lead}>{t('mend.aboutOne', { title: items[0]?.title ?? '' })}</p>
      )}
      <Questions requirement={requirement} />
      <Writing key={chosen} id={chosen} least={requirement.words} />
    </>
  )
}

function Questions({ requirement }: { readonly requirement: RequirementOf<'statement'> }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  if (requirement.questions.length === 0) return null
  return (
    <div className={styles.questions}>
      <p>{t('mend.along')}</p>
      <ol>
        {requirement.questions.map((question, n) => (
          <li key={n}>{words.title(question)}</li>
        ))}
      </ol>
    </div>
  )
}

function Writing({ id, least }: { readonly id: string; readonly least: number }) {
  const query = useQuery(evidenceQueries.one(id))
  return <Fetched query={query}>{(item) => <Statement item={item} least={least} />}</Fetched>
}

function Statement({ item, least }: { readonly item: Evidence; readonly least: number }) {
  const { t } = useTranslation('submissions')
  const change = useChangeEvidence(item.id)
  const saved = useSavedText(item.statement, (statement) => change.mutate({ statement }))
  const count = countStatementWords(saved.text)
  return (
    <>
      <TextField
        label={t('mend.statementOf', { title: item.title || item.version.fileName })}
        multiline
        minRows={4}
        maxRows={14}
        fullWidth
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: LONGEST_STATEMENT } }}
      />
      <p className={styles.count} data-enough={count >= least}>
        {t('mend.count', { count, least })}
      </p>
      <Refusal error={change.error} />
    </>
  )
}
