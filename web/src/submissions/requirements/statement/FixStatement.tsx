// A statement to be written: choosing the item that it is about, and writing, along the questions that are asked.
import { questionsAsked } from '@valise/core/statements'
import { useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { StatementWriting } from '../../../statements/index.ts'
import { SelectField } from '../../../ui/SelectField.tsx'
import type { FixProps } from '../RequirementUi.ts'
import styles from '../../Readiness.module.css'

export function FixStatement({ checked: { requirement, result }, handIn }: FixProps<'statement'>) {
  const { t } = useTranslation('submissions')
  const { items, assignment } = handIn
  const titleOf = (id: string) => items.find((one) => one.id === id)?.title ?? ''
  const asked = useMemo(
    () => questionsAsked(requirement.questions, assignment.title),
    [requirement.questions, assignment.title],
  )
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
      <StatementWriting
        key={chosen}
        id={chosen}
        label={t('mend.statementOf', { title: titleOf(chosen) })}
        least={requirement.words}
        {...(requirement.questions.length > 0 && { asked })}
      />
    </>
  )
}
