// Rights: mine with one press, or somebody else's with maker, source and licence.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconLicense, IconWriting } from '@tabler/icons-react'
import { creditLine } from '@valise/core/evidence'
import type { Rights } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useRefocus } from '../../ui/useRefocus.ts'
import { useLicenceName } from '../base/index.ts'
import { RightsForm } from './RightsForm.tsx'
import type { RightsValues } from './RightsForm.tsx'
import styles from './Fields.module.css'

interface RightsFieldProps {
  readonly rights: Rights
  readonly title: string
  readonly readOnly: boolean
  readonly isSaving: boolean
  readonly onSave: (rights: Rights) => Promise<unknown>
}

export function RightsField({ rights, title, readOnly, isSaving, onSave }: RightsFieldProps) {
  const { t } = useTranslation('evidence')
  const [isOpen, setIsOpen] = useState(false)
  /** What was typed and put away without being declared. */
  const [typed, setTyped] = useState<RightsValues | null>(null)
  const button = useRefocus<HTMLButtonElement>(isOpen ? 'open' : rights.state)
  if (isOpen && !readOnly) {
    return (
      <RightsForm
        rights={rights}
        typed={typed}
        onSave={onSave}
        onClose={(draft) => {
          setTyped(draft ?? null)
          setIsOpen(false)
        }}
      />
    )
  }
  return (
    <div className={styles.rights}>
      <Declared rights={rights} title={title} />
      {readOnly ? null : (
        <div className={styles.verbs}>
          {rights.state === 'mine' ? null : (
            <Button
              size="small"
              onClick={() => isSaving || void onSave({ state: 'mine' }).catch(() => undefined)}
            >
              {t('rights.mine')}
            </Button>
          )}
          <Button
            ref={button}
            size="small"
            variant={rights.state === 'missing' ? 'outlined' : 'text'}
            onClick={() => setIsOpen(true)}
          >
            {rights.state === 'missing' ? t('rights.other') : t('rights.change')}
          </Button>
        </div>
      )}
    </div>
  )
}

function Declared({ rights, title }: { readonly rights: Rights; readonly title: string }) {
  const { t } = useTranslation('evidence')
  const licenceName = useLicenceName()
  const credit = creditLine(title, rights)
  if (credit) {
    const licence = licenceName(credit.licence)
    return (
      <p>
        {t('rights.credit', { maker: credit.maker })}
        {credit.licenceAddress === null ? (
          <span>{licence}</span>
        ) : (
          <Link href={credit.licenceAddress} target="_blank" rel="noopener license">
            {licence}
          </Link>
        )}
        {credit.sourceAddress === null ? (
          <span>{credit.source}</span>
        ) : (
          <Link href={credit.sourceAddress} target="_blank" rel="noopener">
            {t('rights.source')}
          </Link>
        )}
      </p>
    )
  }
  const RightsIcon = rights.state === 'mine' ? IconWriting : IconLicense
  return (
    <p data-state={rights.state}>
      <RightsIcon size={15} stroke={1.7} aria-hidden="true" />
      {rights.state === 'mine' ? t('rights.mine') : t('rights.missing')}
    </p>
  )
}
