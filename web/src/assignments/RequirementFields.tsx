// The requirements of an assignment as fields: each a must or a should, each with what it wants.
import Button from '@mui/material/Button'
import { IconPlus } from '@tabler/icons-react'
import {
  MOST_REQUIREMENTS,
  offeredRequirementKinds,
  requirementDefinitionOf,
  weights,
} from '@valise/core/assignments'
import type { RequirementKind } from '@valise/core/assignments'
import type { Language } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { uiOf } from '../submissions/index.ts'
import type { DraftRequirement, FieldsProps } from '../submissions/index.ts'
import { SelectField } from '../ui/SelectField.tsx'
import styles from './Assignments.module.css'

interface RequirementFieldsProps {
  readonly requirements: readonly DraftRequirement[]
  readonly language: Language
  readonly onChange: (requirements: readonly DraftRequirement[]) => void
}

export function RequirementFields({ requirements, language, onChange }: RequirementFieldsProps) {
  const { t } = useTranslation(['assignments', 'work'])
  const change = (id: string, changed: DraftRequirement) =>
    onChange(requirements.map((one) => (one.id === id ? changed : one)))
  return (
    <>
      <ul className={styles.requirements}>
        {requirements.map((requirement, at) => (
          <li key={requirement.id}>
            <div className={styles.rowHead}>
              <b>{t(`work:requirements.${requirement.kind}`)}</b>
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
            <Fields
              requirement={requirement}
              language={language}
              onChange={(changed) => change(requirement.id, changed)}
            />
          </li>
        ))}
      </ul>
      <div className={styles.adds} role="group" aria-label={t('requirement.add')}>
        {offeredRequirementKinds.map((kind) => (
          <Button
            key={kind}
            size="small"
            disabled={requirements.length >= MOST_REQUIREMENTS}
            startIcon={<IconPlus size={16} stroke={1.7} />}
            onClick={() => onChange([...requirements, newDraft(kind)])}
          >
            {t(`work:requirements.${kind}`)}
          </Button>
        ))}
      </div>
    </>
  )
}

function Fields({ requirement, ...props }: FieldsProps<DraftRequirement>) {
  const { Fields: FieldsOfKind } = uiOf(requirement.kind)
  return <FieldsOfKind requirement={requirement} {...props} />
}

function newDraft(kind: RequirementKind): DraftRequirement {
  return uiOf(kind).toDraft(requirementDefinitionOf(kind).create(crypto.randomUUID()))
}
