// Puts somebody into a class, or changes from when until when they are in one.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Stack from '@mui/material/Stack'
import { useQuery } from '@tanstack/react-query'
import { classRoles } from '@valise/core/people'
import type { ClassRole, Membership, Person } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { classQueries } from '../classes/index.ts'
import { DayField } from '../ui/DayField.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useMembership } from './useMembership.ts'

export interface MembershipDialogProps {
  readonly person: Person
  /** The membership whose days are changed; null adds one. */
  readonly changed: Membership | null
  readonly onClose: () => void
}

export function MembershipDialog({ person, changed, onClose }: MembershipDialogProps) {
  const { t } = useTranslation(['people', 'things', 'app', 'problems'])
  const title =
    changed === null ? t('detail.join') : `${changed.className}, ${t(`things:roles.${changed.role}`)}`
  const {
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
    isBusy,
  } = useMembership({ person, changed, onClose })

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="membership-dialog">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          save()
        }}
      >
        <DialogTitle id="membership-dialog" variant="h2">
          {title}
        </DialogTitle>
        <DialogContent>
          <Stack spacing={5} sx={{ pt: 2 }}>
            {changed === null ? (
              <WhichClass
                classId={classId}
                role={role}
                error={classError}
                onClass={setClassId}
                onRole={setRole}
              />
            ) : null}
            <DayField label={t('detail.firstDay')} value={firstDay} onChange={setFirstDay} />
            <DayField
              label={t('detail.lastDay')}
              value={lastDay}
              onChange={setLastDay}
              help={t('detail.daysHelp')}
            />
            <Refusal error={classError ? null : error} />
          </Stack>
        </DialogContent>
        <DialogActions sx={{ p: 4 }}>
          <Button onClick={onClose}>{t('app:actions.cancel')}</Button>
          <Button type="submit" variant="contained" color="primary" loading={isBusy}>
            {t('form.keep')}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}

interface WhichClassProps {
  readonly classId: string
  readonly role: ClassRole
  readonly error: string | null
  readonly onClass: (id: string) => void
  readonly onRole: (role: ClassRole) => void
}

function WhichClass({ classId, role, error, onClass, onRole }: WhichClassProps) {
  const { t } = useTranslation(['people', 'things'])
  const classes = useQuery(classQueries.mine())
  const running = (classes.data ?? []).filter(({ endedAt }) => endedAt === null)
  return (
    <>
      <SelectField
        label={t('list.class')}
        value={classId}
        error={error}
        choices={running.map(({ id, name, code }) => [id, `${name}, ${code}`] as const)}
        onChange={onClass}
      />
      <SelectField
        label={t('detail.role')}
        value={role}
        choices={classRoles.map((one) => [one, t(`things:roles.${one}`)] as const)}
        onChange={(value) => onRole(classRoles.find((one) => one === value) ?? 'student')}
      />
    </>
  )
}
