// When it was made: as its file says, or asked of whoever knows.
import Button from '@mui/material/Button'
import type { Evidence } from '@valise/core/evidence'
import type { LocalDay } from '@valise/core/time'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useToday } from '../../session/index.ts'
import { DayField } from '../../ui/DayField.tsx'
import { useRefocus } from '../../ui/useRefocus.ts'
import { useWhen } from '../../ui/useWhen.ts'
import styles from './Fields.module.css'

interface MadeFieldProps {
  readonly item: Evidence
  readonly readOnly: boolean
  readonly onSave: (day: LocalDay) => void
}

export function MadeField({ item, readOnly, onSave }: MadeFieldProps) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const today = useToday()
  const [isOpen, setIsOpen] = useState(false)
  const button = useRefocus<HTMLButtonElement>(isOpen)
  if (isOpen && !readOnly) {
    return (
      <div
        className={styles.form}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || event.defaultPrevented) return
          // It closes this field, and not the drawer as well.
          event.preventDefault()
          setIsOpen(false)
        }}
      >
        <DayField
          label={t('drawer.madeOn')}
          value=""
          onChange={(day) => {
            if (day === '' || day > today) return
            onSave(day)
            setIsOpen(false)
          }}
          help={t('drawer.madeHelp')}
        />
      </div>
    )
  }
  return (
    <div className={styles.rights}>
      <span>{item.madeAtKnown ? when.day(item.madeAt) : t('drawer.madeUnknown')}</span>
      {readOnly ? null : (
        <div className={styles.verbs}>
          <Button
            ref={button}
            size="small"
            variant={item.madeAtKnown ? 'text' : 'outlined'}
            onClick={() => setIsOpen(true)}
          >
            {t(item.madeAtKnown ? 'drawer.madeChange' : 'drawer.madeSay')}
          </Button>
        </div>
      )}
    </div>
  )
}
