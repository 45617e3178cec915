// The requirements of an assignment as fields: each a must or a should, each with what it wants.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconPlus } from '@tabler/icons-react'
import { MOST_REQUIREMENTS, requirementKinds, weights } from '@valise/core/assignments'
import type { RequirementKind } from '@valise/core/assignments'
import { contentSorts } from '@valise/core/pages'
import type { ContentSort } from '@valise/core/pages'
import type { Language } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import type { DraftRequirement } from './assignmentDraft.ts'
import styles from './Assignments.module.css'

interface RequirementFieldsProps {
  readonly requirements: readonly DraftRequirement[]
  readonly language: Language
  readonly onChange: (requirements: readonly DraftRequirement[]) => void
}

const USUAL_WORDS = 60

function newRequirement(kind: RequirementKind): DraftRequirement {
  const shared = { id: crypto.randomUUID(), weight: 'must' as const }
  if (kind === 'page') return { ...shared, kind, pieces: [{ sort: 'picture', atLeast: 1 }] }
  if (kind === 'statement') return { ...shared, kind, words: USUAL_WORDS, questions: { en: '', es: '' } }
  return { ...shared, kind }
}

export function RequirementFields({ requirements, language, onChange }: RequirementFieldsProps) {
  const { t } = useTranslation('assignments')
  const change = (id: string, changed: DraftRequirement) =>
    onChange(requirements.map((one) => (one.id === id ? changed : one)))
  return (
    <>
      <ul className={styles.requirements}>
        {requirements.map((requirement, at) => (
          <li key={requirement.id}>
            <div className={styles.rowHead}>
              <b>{t(`requirement.${requirement.kind}`)}</b>
              <SelectField
                label={t('requirement.weight', { n: at + 1 })}
                value={requirement.weight}
                choices={weights.map((weight) => [weight, t(`requirement.${weight}`)] as const)}
                onChange={(value) => {
                  const weight = weights.find((one) => one === value) ?? 'must'
                  change(requirement.id, { ...requirement, weight })
                }}
              />
              <Button
                variant="text"
                aria-label={t('requirement.removeOf', { n: at + 1 })}
                onClick={() => onChange(requirements.filter(({ id }) => id !== requirement.id))}
              >
                {t('requirement.remove')}
              </Button>
            </div>
            {requirement.kind === 'page' ? (
              <Pieces requirement={requirement} onChange={(changed) => change(requirement.id, changed)} />
            ) : null}
            {requirement.kind === 'statement' ? (
              <Words
                requirement={requirement}
                language={language}
                onChange={(changed) => change(requirement.id, changed)}
              />
            ) : null}
          </li>
        ))}
      </ul>
      <div className={styles.adds} role="group" aria-label={t('requirement.add')}>
        {requirementKinds.map((kind) => (
          <Button
            key={kind}
            size="small"
            disabled={requirements.length >= MOST_REQUIREMENTS}
            startIcon={<IconPlus size={16} stroke={1.7} />}
            onClick={() => onChange([...requirements, newRequirement(kind)])}
          >
            {t(`requirement.${kind}`)}
          </Button>
        ))}
      </div>
    </>
  )
}

type PageDraft = Extract<DraftRequirement, { kind: 'page' }>
type StatementDraft = Extract<DraftRequirement, { kind: 'statement' }>

/** How many pieces of each sort the page has to hold; none of a sort is not asked for. */
function Pieces({
  requirement,
  onChange,
}: {
  readonly requirement: PageDraft
  readonly onChange: (changed: PageDraft) => void
}) {
  const { t } = useTranslation('assignments')
  const countOf = (sort: ContentSort) => requirement.pieces.find((one) => one.sort === sort)?.atLeast ?? 0
  const set = (sort: ContentSort, text: string) => {
    const atLeast = Math.min(20, Math.max(0, Math.floor(Number(text) || 0)))
    const counts = contentSorts.map((one) => ({ sort: one, atLeast: one === sort ? atLeast : countOf(one) }))
    onChange({ ...requirement, pieces: counts.filter((one) => one.atLeast > 0) })
  }
  return (
    <div className={styles.sorts} role="group" aria-label={t('requirement.pieces')}>
      {contentSorts.map((sort) => (
        <TextField
          key={sort}
          label={t(`sorts.${sort}`)}
          type="number"
          size="small"
          value={countOf(sort)}
          onChange={(event) => set(sort, event.target.value)}
          slotProps={{ htmlInput: { min: 0, max: 20 } }}
        />
      ))}
    </div>
  )
}

function Words({
  requirement,
  language,
  onChange,
}: {
  readonly requirement: StatementDraft
  readonly language: Language
  readonly onChange: (changed: StatementDraft) => void
}) {
  const { t } = useTranslation('assignments')
  return (
    <>
      <TextField
        label={t('requirement.words')}
        type="number"
        size="small"
        sx={{ maxWidth: 160 }}
        value={requirement.words}
        onChange={(event) =>
          onChange({
            ...requirement,
            words: Math.min(5000, Math.max(1, Math.floor(Number(event.target.value) || 1))),
          })
        }
        slotProps={{ htmlInput: { min: 1, max: 5000 } }}
      />
      <TextField
        label={t('requirement.questions')}
        helperText={t('requirement.questionsHint')}
        multiline
        minRows={2}
        fullWidth
        value={requirement.questions[language]}
        onChange={(event) =>
          onChange({
            ...requirement,
            questions: { ...requirement.questions, [language]: event.target.value },
          })
        }
      />
    </>
  )
}
