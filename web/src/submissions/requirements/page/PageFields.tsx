// How many pieces of each sort the page has to hold; none of a sort is not asked for.
import TextField from '@mui/material/TextField'
import type { RequirementOf } from '@valise/core/assignments'
import { contentSorts } from '@valise/core/pages'
import type { ContentSort } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import type { FieldsProps } from '../RequirementUi.ts'
import styles from './PageFields.module.css'

export function PageFields({ requirement, onChange }: FieldsProps<RequirementOf<'page'>>) {
  const { t } = useTranslation('assignments')
  const countOf = (sort: ContentSort) => requirement.pieces.find((one) => one.sort === sort)?.atLeast ?? 0
  const set = (sort: ContentSort, text: string) => {
    const atLeast = Math.min(20, Math.max(0, Math.floor(Number(text) || 0)))
    const counts = contentSorts.map((one) => ({ sort: one, atLeast: one === sort ? atLeast : countOf(one) }))
    onChange({ ...requirement, pieces: counts.filter((one) => one.atLeast > 0) })
  }
  return (
    <div className={styles.sorts} role="group" aria-label={t('requirement.pieces')}>
      {contentSorts.map((sort) => (
        <TextField
          key={sort}
          label={t(`sorts.${sort}`)}
          type="number"
          size="small"
          value={countOf(sort)}
          onChange={(event) => set(sort, event.target.value)}
          slotProps={{ htmlInput: { min: 0, max: 20 } }}
        />
      ))}
    </div>
  )
}
