// What stands between a picture and being shown: names, place, rights, words for those who do not see it.
import Link from '@mui/material/Link'
import { IconAlertTriangle, IconCheck, IconLicense } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import type { PictureFault, PictureRecipe } from '@valise/core/pictures'
import { useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { useChangeEvidence } from '../../evidence/base/index.ts'
import { RightsField, WordsForOthers } from '../../evidence/item/index.ts'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { regionsOf } from './recipeChanges.ts'
import { RedactIcon } from './RedactIcon.tsx'
import { useStepWords } from './useStepWords.ts'
import styles from './Bench.module.css'

interface ShowChecksProps {
  readonly item: Evidence
  readonly recipe: PictureRecipe
  /** What is offered and not used yet; null for nothing. */
  readonly suggested: PictureRecipe | null
  readonly faults: readonly PictureFault[]
}

export function ShowChecks({ item, recipe, suggested, faults }: ShowChecksProps) {
  const { t } = useTranslation('bench')
  const words = useStepWords()
  const change = useChangeEvidence(item.id)
  const [open, setOpen] = useState<'words' | 'rights' | null>(null)
  const lacksWords = item.alternativeText === ''
  const lacksRights = item.rights.state === 'missing'
  const uncovered = suggested ? regionsOf(suggested).length : 0
  const left = [uncovered > 0, lacksWords, lacksRights, ...faults.map(() => true)].filter(Boolean).length
  const named = words.answer('named', recipe)
  return (
    <>
      <p className={styles.lead}>{left === 0 ? t('checks.yes') : t('checks.left', { count: left })}</p>
      <ul className={styles.checks}>
        {faults.map((fault) => (
          <Check key={fault} state="stopped">
            {t(`faults.${fault}`)}
          </Check>
        ))}
        {uncovered > 0 ? (
          <Check state="care" icon={<RedactIcon size={16} />}>
            {t('checks.suggested', { count: uncovered })}
          </Check>
        ) : (
          <Check state={named.isDone ? 'done' : 'open'} icon={<RedactIcon size={16} />}>
            {named.isDone ? t('checks.concealed') : t('checks.nobody')}
          </Check>
        )}
        <Check state="done">{t(item.version.place ? 'checks.placeCut' : 'checks.noPlace')}</Check>
        {lacksRights ? (
          <Check state="care" icon={<IconLicense size={16} stroke={1.7} />}>
            {t('checks.noRights')} <Verb onClick={() => setOpen('rights')}>{t('checks.sayRights')}</Verb>
          </Check>
        ) : (
          <Check state="done">{t(item.rights.state === 'mine' ? 'checks.mine' : 'checks.credited')}</Check>
        )}
        {lacksWords ? (
          <Check state="care" icon={<OwnIcon name="noalt" size={16} />}>
            {t('checks.noWords')} <Verb onClick={() => setOpen('words')}>{t('checks.describe')}</Verb>
          </Check>
        ) : (
          <Check state="done">{t('checks.described')}</Check>
        )}
      </ul>
      {open === 'rights' && lacksRights ? (
        <RightsField
          rights={item.rights}
          title={item.title}
          readOnly={false}
          isSaving={change.isPending}
          onSave={(rights) => change.mutateAsync({ rights })}
        />
      ) : null}
      {open === 'words' ? (
        <WordsForOthers item={item} readOnly={false} onSave={(said) => change.mutate(said)} />
      ) : null}
      <Refusal error={change.error} />
    </>
  )
}

function Verb({ onClick, children }: { readonly onClick: () => void; readonly children: ReactNode }) {
  return (
    <Link component="button" type="button" onClick={onClick}>
      {children}
    </Link>
  )
}

interface CheckProps {
  readonly state: 'done' | 'open' | 'care' | 'stopped'
  readonly icon?: ReactNode
  readonly children: ReactNode
}

function Check({ state, icon, children }: CheckProps) {
  return (
    <li data-state={state}>
      {state === 'done' ? (
        <IconCheck size={16} stroke={2} aria-hidden />
      ) : (
        (icon ?? <IconAlertTriangle size={16} stroke={1.7} aria-hidden />)
      )}
      <span>{children}</span>
    </li>
  )
}
