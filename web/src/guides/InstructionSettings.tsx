// Writing an instruction: its words in each language, and the pictures, films and files that it shows.
import Button from '@mui/material/Button'
import { useQueries } from '@tanstack/react-query'
import { evidenceKinds } from '@valise/core/evidence'
import { MOST_INSTRUCTION_ITEMS } from '@valise/core/guides'
import type { Instruction } from '@valise/core/guides'
import { textOf } from '@valise/core/pages'
import { IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import { EvidenceChooser } from '../evidence/list/index.ts'
import { TextEditor } from '../text/index.ts'
import { SlotLine } from './slots/SlotLine.tsx'
import styles from './Guides.module.css'
import '@valise/core/pages/paper.css'

interface InstructionSettingsProps {
  readonly instruction: Instruction
  readonly languages: readonly ('en' | 'es')[]
  readonly fromElsewhere: number
  readonly onChange: (instruction: Instruction) => void
}

export function InstructionSettings(props: InstructionSettingsProps) {
  const { t } = useTranslation(['guides', 'app'])
  const { instruction, languages, fromElsewhere, onChange } = props
  const { id, text } = instruction
  return (
    <>
      {languages.map((language) => {
        const label =
          languages.length > 1
            ? t('app:languages.in', {
                label: t('instruction.words'),
                language: t(`app:languages.${language}`),
              })
            : t('instruction.words')
        return (
          <div key={language} className={styles.instructionText} lang={language}>
            <b aria-hidden="true">{label}</b>
            <div className="paper">
              <TextEditor
                key={`${id}-${language}`}
                text={text[language] ?? textOf('')}
                fromElsewhere={fromElsewhere}
                registerFlush={() => () => undefined}
                place={`/guides#${id}-${language}`}
                label={label}
                isFocused={false}
                placeholder={t('instruction.placeholder')}
                onText={(next) => onChange({ ...instruction, text: { ...text, [language]: next } })}
              />
            </div>
          </div>
        )
      })}
      <Items instruction={instruction} onChange={onChange} />
    </>
  )
}

function Items({ instruction, onChange }: Pick<InstructionSettingsProps, 'instruction' | 'onChange'>) {
  const { t } = useTranslation('guides')
  const words = useEvidenceWords()
  const [isChoosing, setIsChoosing] = useState(false)
  const { items } = instruction
  const there = useQueries({ queries: items.map(({ id }) => evidenceQueries.one(id)) })
  const set = (next: Instruction['items']) => onChange({ ...instruction, items: next })
  return (
    <div className={styles.slot}>
      <ul className={styles.slotLines}>
        {items.map(({ id }, n) => {
          const item = there[n]?.data
          const title = item ? words.title(item) : t('instruction.item')
          return (
            <SlotLine key={id} title={title} onRemove={() => set(items.filter((one) => one.id !== id))}>
              {item ? (
                <span className={styles.itemPicture}>
                  <Thumbnail item={item} />
                </span>
              ) : null}
              {title}
            </SlotLine>
          )
        })}
      </ul>
      {items.length < MOST_INSTRUCTION_ITEMS ? (
        <Button startIcon={<IconPlus size={18} stroke={1.7} />} onClick={() => setIsChoosing(true)}>
          {t('instruction.add')}
        </Button>
      ) : null}
      {isChoosing ? (
        <EvidenceChooser
          kinds={evidenceKinds}
          onChoose={({ id, kind }) => set([...items.filter((one) => one.id !== id), { id, kind }])}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </div>
  )
}
