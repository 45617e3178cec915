// A membership while it is added or its days are changed.
import { useTranslation } from 'react-i18next'
import type { ClassRole } from '@valise/core/people'
import { useState } from 'react'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { useCreateMembership, useUpdateMembership } from './queries.ts'
import type { MembershipDialogProps } from './MembershipDialog.tsx'

export function useMembership({ person, changed, onClose }: MembershipDialogProps) {
  const { t } = useTranslation(['people', 'problems'])
  const [classId, setClassId] = useState('')
  const [role, setRole] = useState<ClassRole>('student')
  const [firstDay, setFirstDay] = useState(changed?.firstDay ?? '')
  const [lastDay, setLastDay] = useState(changed?.lastDay ?? '')
  const create = useCreateMembership(person.id)
  const update = useUpdateMembership()
  const problems = useProblemWords()
  const { error } = changed === null ? create : update
  const [hasAsked, setHasAsked] = useState(false)
  const isMissing = changed === null && classId === ''
  const classError = hasAsked && isMissing ? t('problems:fields.missing') : problems.field(error, 'classId')

  function save() {
    setHasAsked(true)
    if (isMissing) return
    const days = { firstDay: firstDay || null, lastDay: lastDay || null }
    const done = { onSuccess: onClose }
    if (changed !== null) update.mutate({ id: changed.id, revision: changed.revision, days }, done)
    else create.mutate({ key: crypto.randomUUID(), input: { classId, role, ...days } }, done)
  }
  return {
    classId,
    setClassId,
    role,
    setRole,
    firstDay,
    setFirstDay,
    lastDay,
    setLastDay,
    error,
    classError,
    save,
    isBusy: create.isPending || update.isPending,
  }
}
