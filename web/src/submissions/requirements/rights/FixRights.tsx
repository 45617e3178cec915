// Every item that goes in and of which nobody knows yet who made it, with the field that says so.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, useChangeEvidence, Thumbnail } from '../../../evidence/base/index.ts'
import { RightsField } from '../../../evidence/item/index.ts'
import { Fetched } from '../../../ui/Fetched.tsx'
import { Refusal } from '../../../ui/Refusal.tsx'
import type { FixProps } from '../RequirementUi.ts'
import styles from '../../Readiness.module.css'

export function FixRights({ checked: { result } }: FixProps<'rights'>) {
  const { t } = useTranslation('submissions')
  if (result.undeclared.length === 0)
    return <p className={styles.lead}>{t(result.isThere ? 'mend.allDeclared' : 'mend.nothingIn')}</p>
  return (
    <ul className={styles.items}>
      {result.undeclared.map(({ id }) => (
        <Item key={id} id={id} />
      ))}
    </ul>
  )
}

function Item({ id }: { readonly id: string }) {
  const { t } = useTranslation('submissions')
  const query = useQuery(evidenceQueries.one(id))
  const change = useChangeEvidence(id)
  return (
    <li className={styles.item}>
      <Fetched query={query}>
        {(item) => (
          <>
            <span className={styles.picture}>
              <Thumbnail item={item} />
            </span>
            <div>
              <b>{item.title || item.version.fileName}</b>
              <RightsField
                rights={item.rights}
                title={item.title}
                readOnly={false}
                isSaving={change.isPending}
                onSave={(rights) => change.mutateAsync({ rights })}
              />
              <Refusal error={change.error} />
              <p className="only-heard">{t('mend.rightsHint')}</p>
            </div>
          </>
        )}
      </Fetched>
    </li>
  )
}
