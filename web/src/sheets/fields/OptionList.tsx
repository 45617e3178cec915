// The answers that one may choose from, while a sheet is written.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import { IconPlus, IconX } from '@tabler/icons-react'
import { LONGEST_OPTION } from '@valise/core/pages'
import type { Option } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { LocalizedField, newId } from '../../offers/index.ts'
import styles from '../Sheets.module.css'

interface OptionListProps {
  readonly legend: string
  readonly options: readonly Option[]
  readonly most: number
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (options: Option[]) => void
}

export function OptionList({ legend, options, most, languages, onChange }: OptionListProps) {
  const { t } = useTranslation('sheets')
  return (
    <fieldset className={styles.optionList}>
      <legend>{legend}</legend>
      <ol>
        {options.map((option, n) => (
          <li key={option.id}>
            <LocalizedField
              label={t('build.option', { n: n + 1 })}
              most={LONGEST_OPTION}
              languages={languages}
              value={option.label}
              onChange={(label) => onChange(options.map((one) => (one === option ? { ...one, label } : one)))}
            />
            <IconButton
              aria-label={t('build.removeOption', { n: n + 1 })}
              onClick={() => onChange(options.filter((one) => one !== option))}
            >
              <IconX size={16} stroke={1.8} />
            </IconButton>
          </li>
        ))}
      </ol>
      {options.length < most ? (
        <Button
          variant="text"
          startIcon={<IconPlus size={16} stroke={1.7} />}
          onClick={() => onChange([...options, { id: newId(), label: {} }])}
        >
          {t('build.addOption')}
        </Button>
      ) : null}
    </fieldset>
  )
}
