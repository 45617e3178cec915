// What tells a logbook apart: its title, what it is about, its cover, its usual questions and its class.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { LONGEST_LOGBOOK_SUMMARY } from '@valise/core/reflections'
import type { Logbook } from '@valise/core/reflections'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { PutInBin } from '../bin/index.ts'
import { EvidenceChooser } from '../evidence/list/index.ts'
import { useSession } from '../session/index.ts'
import { SheetField } from '../sheets/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { LogbookCover } from './LogbookCover.tsx'
import { useChangeLogbook } from './queries.ts'
import styles from './Reflections.module.css'

interface LogbookDetailsProps {
  readonly logbook: Logbook
  readonly onClose: () => void
}

export function LogbookDetails({ logbook, onClose }: LogbookDetailsProps) {
  const { t } = useTranslation(['reflections', 'app'])
  const titleId = useId()
  const { memberships } = useSession()
  const change = useChangeLogbook(logbook)
  const summary = useSavedText(logbook.summary, (text) => change.mutate({ summary: text }))
  const classes = new Map(memberships.map(({ classId, className }) => [classId, className]))
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {t('logbook.edit')}
      </DialogTitle>
      <DialogContent className={styles.details}>
        <TextField
          label={t('logbook.summary')}
          multiline
          minRows={2}
          fullWidth
          size="small"
          value={summary.text}
          onChange={(event) => summary.change(event.target.value)}
          onBlur={summary.leave}
          slotProps={{ htmlInput: { maxLength: LONGEST_LOGBOOK_SUMMARY } }}
        />
        <Cover logbook={logbook} onChange={(coverId) => change.mutate({ coverId })} />
        <SheetField
          label={t('logbook.usualSheet')}
          value={logbook.usualSheetId ?? ''}
          onChange={(sheetId) => change.mutate({ usualSheetId: sheetId || null })}
        />
        {classes.size > 0 ? (
          <SelectField
            label={t('logbook.class')}
            value={logbook.classId !== null && classes.has(logbook.classId) ? logbook.classId : ''}
            choices={[['', t('logbook.noClass')], ...classes]}
            onChange={(classId) => change.mutate({ classId: classId || null })}
          />
        ) : null}
        <Refusal error={change.error} />
        <PutInBin kind="logbook" id={logbook.id} title={logbook.title} leaveTo="/logbooks" />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" color="primary" onClick={onClose}>
          {t('app:actions.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

interface CoverProps {
  readonly logbook: Logbook
  readonly onChange: (coverId: string | null) => void
}

function Cover({ logbook, onChange }: CoverProps) {
  const { t } = useTranslation('reflections')
  const [isChoosing, setIsChoosing] = useState(false)
  return (
    <div className={styles.coverField}>
      <LogbookCover logbook={logbook} />
      <Button onClick={() => setIsChoosing(true)}>{t('logbook.chooseCover')}</Button>
      {logbook.coverId === null ? null : (
        <Button variant="text" onClick={() => onChange(null)}>
          {t('logbook.removeCover')}
        </Button>
      )}
      {isChoosing ? (
        <EvidenceChooser
          kinds={['picture', 'collage']}
          onChoose={({ id }) => onChange(id)}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </div>
  )
}
