// The pictures in a collage, each with who made it: what is owed is seen where the collage is looked at.
import Link from '@mui/material/Link'
import type { CollagePicture } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useLicenceName } from '../base/index.ts'
import styles from './Fields.module.css'

export function CollagePictures({ parts }: { readonly parts: readonly CollagePicture[] }) {
  const { t } = useTranslation('evidence')
  const licenceName = useLicenceName()
  const rightsOf = ({ rightsState, credit }: CollagePicture) => {
    if (credit) return `${t('rights.credit', { maker: credit.maker })} ${licenceName(credit.licence)}`
    return t(rightsState === 'mine' ? 'rights.mine' : 'rights.missing')
  }
  return (
    <ul className={styles.uses}>
      {parts.map((picture) => (
        <li key={picture.id}>
          <Link component={RouterLink} to={`/evidence/${picture.id}`}>
            {picture.title || t('drawer.untitledPicture')}
          </Link>
          <br />
          <small>{rightsOf(picture)}</small>
        </li>
      ))}
    </ul>
  )
}
