// The pictures in a collage, each with who made it: what is owed is seen where the collage is looked at.
import Link from '@mui/material/Link'
import type { CollagePart } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useLicenceName } from './useLicenceName.ts'
import styles from './Fields.module.css'

export function CollageParts({ parts }: { readonly parts: readonly CollagePart[] }) {
  const { t } = useTranslation('evidence')
  const licenceName = useLicenceName()
  const rightsOf = ({ rightsState, credit }: CollagePart) => {
    if (credit) return `${t('rights.credit', { maker: credit.maker })} ${licenceName(credit.licence)}`
    return t(rightsState === 'mine' ? 'rights.mine' : 'rights.missing')
  }
  return (
    <ul className={styles.uses}>
      {parts.map((part) => (
        <li key={part.id}>
          <Link component={RouterLink} to={`/evidence/${part.id}`}>
            {part.title || t('drawer.untitledPicture')}
          </Link>
          <br />
          <small>{rightsOf(part)}</small>
        </li>
      ))}
    </ul>
  )
}
