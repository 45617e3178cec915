// Setting and changing an assignment: what is asked, by when, and the scale it is judged on.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import TextField from '@mui/material/TextField'
import { LONGEST_ASSIGNMENT_TITLE, LONGEST_BRIEF } from '@valise/core/assignments'
import type { Assignment } from '@valise/core/assignments'
import { isAssessorRole, languages, textIn } from '@valise/core/people'
import type { Language } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useUnsent } from '../saving/index.ts'
import type { Unsent } from '../saving/index.ts'
import { useSession } from '../session/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Done } from '../ui/Done.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { DayField } from '../ui/DayField.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { fromLines } from '../ui/textLines.ts'
import type { Texts } from '../ui/textLines.ts'
import { toDraft, toInput } from './assignmentDraft.ts'
import type { AssignmentDraft } from './assignmentDraft.ts'
import { EndAssignment } from './EndAssignment.tsx'
import { useChangeAssignment, useSetAssignment } from './queries.ts'
import { RequirementFields } from './RequirementFields.tsx'
import styles from './Assignments.module.css'

const FEWEST_LEVELS = 2
const NO_CHANGES: Partial<AssignmentDraft> = {}

export function AssignmentForm({ assignment }: { readonly assignment: Assignment | null }) {
  const { t, i18n } = useTranslation(['assignments', 'app'])
  const memberships = useSession().memberships.filter(({ role }) => isAssessorRole(role))
  const [classId, setClassId] = useState(assignment?.classId ?? memberships[0]?.classId ?? '')
  const [language, setLanguage] = useState<Language>(i18n.language === 'es' ? 'es' : 'en')
  // In the language that is spoken; the others are written by whoever wants them.
  const [usual] = useState(() => ({
    scale: { en: '', es: '', [language]: t('usual.scale') },
    terms: { en: '', es: '', [language]: t('usual.terms') },
  }))
  // Only one's own changes cover the saved state, so that others' changes to the rest show through.
  const unsent = useUnsent(`/assignments/${assignment?.id ?? 'new'}`, NO_CHANGES)
  const draft: AssignmentDraft = { ...toDraft(assignment, usual), ...unsent.value }
  const change = (changed: Partial<AssignmentDraft>) => unsent.change({ ...unsent.value, ...changed })
  const inLanguage = (name: 'title' | 'brief' | 'scale' | 'terms', text: string) =>
    change({ [name]: { ...draft[name], [language]: text } })
  const field = (name: 'title' | 'brief' | 'scale' | 'terms') => ({
    value: draft[name][language],
    onChange: (event: { target: { value: string } }) => inLanguage(name, event.target.value),
    fullWidth: true,
  })
  return (
    <Screen
      place={assignment ? textIn(assignment.title, i18n.language) : t('form.newPlace')}
      parent={t('app:places.assignments')}
      sentence={assignment ? textIn(assignment.title, i18n.language) : t('form.new')}
      {...(assignment && { lead: t('form.lead', { class: assignment.className }) })}
      {...(assignment && { panel: <EndAssignment assignment={assignment} />, panelLabel: t('end.title') })}
    >
      <div className={styles.form}>
        <section>
          <ChoiceBar
            label={t('form.language')}
            value={language}
            choices={languages.map((one) => [one, t(`form.languages.${one}`)] as const)}
            onChange={setLanguage}
          />
          <p>{t('form.languageHint')}</p>
          <TextField
            label={t('form.title')}
            required
            size="small"
            {...field('title')}
            slotProps={{ htmlInput: { maxLength: LONGEST_ASSIGNMENT_TITLE } }}
          />
          <TextField
            label={t('form.brief')}
            multiline
            minRows={3}
            {...field('brief')}
            slotProps={{ htmlInput: { maxLength: LONGEST_BRIEF } }}
          />
          <div className={styles.pair}>
            {assignment ? null : (
              <SelectField
                label={t('form.class')}
                value={classId}
                choices={memberships.map(
                  (one) => [one.classId, `${one.className}, ${one.classCode}`] as const,
                )}
                onChange={setClassId}
              />
            )}
            <DayField
              hasTime
              label={t('form.due')}
              help={t('form.dueHint')}
              value={draft.dueLocal}
              onChange={(dueLocal) => change({ dueLocal })}
            />
          </div>
        </section>
        <section>
          <h2>{t('form.requirements')}</h2>
          <p>{t('form.requirementsHint')}</p>
          <RequirementFields
            requirements={draft.requirements}
            language={language}
            onChange={(requirements) => change({ requirements })}
          />
          <label className={styles.check}>
            <Checkbox
              checked={draft.allowsGaps}
              onChange={(event) => change({ allowsGaps: event.target.checked })}
            />
            <span>{t('form.allowsGaps')}</span>
          </label>
        </section>
        <section>
          <h2>{t('form.judging')}</h2>
          <TextField
            label={t('form.scale')}
            helperText={t('form.scaleHint')}
            multiline
            minRows={3}
            {...field('scale')}
          />
          <TextField
            label={t('form.terms')}
            helperText={t('form.termsHint')}
            multiline
            minRows={2}
            {...field('terms')}
          />
        </section>
        <SaveAssignment assignment={assignment} classId={classId} draft={draft} unsent={unsent} />
      </div>
    </Screen>
  )
}

interface SaveAssignmentProps {
  readonly assignment: Assignment | null
  readonly classId: string
  readonly draft: AssignmentDraft
  readonly unsent: Unsent<Partial<AssignmentDraft>>
}

function SaveAssignment({ assignment, classId, draft, unsent }: SaveAssignmentProps) {
  const { t } = useTranslation('assignments')
  const navigate = useNavigate()
  const set = useSetAssignment()
  const change = useChangeAssignment(assignment ?? { id: '', revision: 0 })
  const [key] = useState(() => crypto.randomUUID())
  const problem = isEmpty(draft.title)
    ? t('form.titleMissing')
    : fromLines(draft.scale).length < FEWEST_LEVELS
      ? t('form.scaleShort')
      : null
  const onSave = () => {
    const input = toInput(draft, assignment?.scale ?? [], () => crypto.randomUUID())
    if (assignment) return change.mutate(input, { onSuccess: unsent.clear })
    set.mutate(
      { classId, ...input, key },
      {
        onSuccess: ({ id }) => {
          unsent.clear()
          void navigate(`/assignments/${id}`, { replace: true })
        },
      },
    )
  }
  return (
    <div className={styles.foot}>
      <Button
        variant="contained"
        color="primary"
        disabled={problem !== null}
        {...(problem !== null && { 'aria-describedby': 'assignment-problem' })}
        loading={set.isPending || change.isPending}
        onClick={onSave}
      >
        {assignment ? t('form.keep') : t('form.set')}
      </Button>
      {problem === null ? null : (
        <span id="assignment-problem" className={styles.problem}>
          {problem}
        </span>
      )}
      {unsent.isThere ? (
        <Button variant="text" onClick={unsent.clear}>
          {t(assignment ? 'form.asItWas' : 'form.startAfresh')}
        </Button>
      ) : null}
      <Done>{change.isSuccess && !unsent.isThere ? t('form.saved') : null}</Done>
      <Refusal error={set.error ?? change.error} />
    </div>
  )
}

function isEmpty(texts: Texts): boolean {
  return languages.every((language) => texts[language].trim() === '')
}
