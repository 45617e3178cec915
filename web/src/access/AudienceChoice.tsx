// Whom a pass is for: every audience that there is, of every kind.
import type { Audience, AudienceKind, AudienceOf, Audiences } from '@valise/core/access'
import { useTranslation } from 'react-i18next'
import { offeredKinds, uiOf } from './audiences/uiByKind.ts'
import styles from './GivePass.module.css'

interface AudienceChoiceProps {
  readonly audiences: Audiences
  readonly value: Audience | null
  readonly hasAsked: boolean
  readonly onChange: (audience: Audience) => void
}

export function AudienceChoice({ audiences, value, hasAsked, onChange }: AudienceChoiceProps) {
  const { t } = useTranslation(['access', 'problems'])
  const missing = hasAsked ? t('problems:fields.missing') : null
  return (
    <fieldset className={styles.choices}>
      <legend className="only-heard">{t('give.missing')}</legend>
      {offeredKinds.map((kind) => {
        const { Choices } = uiOf(kind)
        return (
          <Choices
            key={kind}
            audiences={audiences}
            value={ofKind(kind, value)}
            missing={missing}
            onChange={onChange}
          />
        )
      })}
    </fieldset>
  )
}

function ofKind<K extends AudienceKind>(kind: K, audience: Audience | null): AudienceOf<K> | null {
  // What has this kind is an audience of this kind, which the compiler does not follow.
  return audience?.kind === kind ? (audience as AudienceOf<K>) : null
}
