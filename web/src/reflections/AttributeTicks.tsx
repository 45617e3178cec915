// Which attributes of a set one rates oneself on: all of them, until some are left out.
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { useQuery } from '@tanstack/react-query'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { attributeSetApi } from '../attributes/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import styles from './Reflections.module.css'

interface AttributeTicksProps {
  readonly setId: string
  /** Null for all. */
  readonly value: readonly string[] | null
  readonly onChange: (attributeIds: readonly string[]) => void
}

export function AttributeTicks({ setId, value, onChange }: AttributeTicksProps) {
  const { t, i18n } = useTranslation('reflections')
  const set = useQuery(attributeSetApi.queries.newest(setId))
  return (
    <Fetched query={set}>
      {({ content }) => {
        const all = content.attributes.map(({ id }) => id)
        const ticked = value ?? all
        const toggle = (id: string) =>
          onChange(ticked.includes(id) ? ticked.filter((one) => one !== id) : [...ticked, id])
        return (
          <fieldset className={styles.ticks}>
            <legend>{t('begin.attributes')}</legend>
            {content.attributes.map(({ id, name, meaning }) => (
              <FormControlLabel
                key={id}
                control={<Checkbox checked={ticked.includes(id)} onChange={() => toggle(id)} />}
                label={
                  <>
                    <b>{textIn(name, i18n.language)}</b> {textIn(meaning, i18n.language)}
                  </>
                }
              />
            ))}
          </fieldset>
        )
      }}
    </Fetched>
  )
}
