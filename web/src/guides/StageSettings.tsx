// All that can be set of a stage while its guide is written: name, when it opens and closes, and its blocks in order.
import { fieldKinds, fieldOf } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import {
  isInstruction,
  LONGEST_STAGE_NAME,
  MOST_BLOCKS,
  newInstruction,
  stageOpenings,
} from '@valise/core/guides'
import type { Block, Stage } from '@valise/core/guides'
import { IconInfoCircle } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { LocalizedField, newId, partActs, PartCards } from '../offers/index.ts'
import { AddQuestion, fieldUiOf, QuestionSettings } from '../sheets/index.ts'
import { DayField } from '../ui/DayField.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { InstructionSettings } from './InstructionSettings.tsx'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

interface StageSettingsProps {
  readonly stage: Stage
  readonly languages: readonly ('en' | 'es')[]
  /** Goes up when another window changed the guide. */
  readonly fromElsewhere: number
  readonly onChange: (stage: Stage) => void
}

export function StageSettings({ stage, languages, fromElsewhere, onChange }: StageSettingsProps) {
  const { t } = useTranslation('guides')
  const { name, opens, closesLocal } = stage
  return (
    <>
      <LocalizedField
        label={t('build.name')}
        most={LONGEST_STAGE_NAME}
        languages={languages}
        isFocused={Object.keys(name).length === 0}
        value={name}
        onChange={(next) => onChange({ ...stage, name: next })}
      />
      <div className={styles.stageTimes}>
        <SelectField
          label={t('build.opensHow')}
          value={opens.how}
          choices={stageOpenings.map((how) => [how, t(`build.opens.${how}`)] as const)}
          onChange={(value) => {
            const how = stageOpenings.find((one) => one === value) ?? 'at'
            onChange({ ...stage, opens: { how, local: how === 'at' ? opens.local : null } })
          }}
          sx={{ minWidth: 220 }}
        />
        {opens.how === 'at' ? (
          <DayField
            hasTime
            label={t('build.opensAt')}
            value={opens.local ?? ''}
            onChange={(local) => onChange({ ...stage, opens: { ...opens, local: local || null } })}
          />
        ) : null}
        <DayField
          hasTime
          label={t('build.closesAt')}
          value={closesLocal ?? ''}
          onChange={(next) => onChange({ ...stage, closesLocal: next || null })}
        />
      </div>
      <Blocks
        blocks={stage.blocks}
        languages={languages}
        fromElsewhere={fromElsewhere}
        onChange={(blocks) => onChange({ ...stage, blocks })}
      />
    </>
  )
}

interface BlocksProps extends Pick<StageSettingsProps, 'languages' | 'fromElsewhere'> {
  readonly blocks: readonly Block[]
  readonly onChange: (blocks: Block[]) => void
}

function Blocks({ blocks, languages, fromElsewhere, onChange }: BlocksProps) {
  const { t } = useTranslation(['guides', 'sheets'])
  const [openId, setOpenId] = useState<string | null>(null)
  const headOf = useBlockHead()
  const acts = partActs(blocks, onChange)
  const add = (block: Block) => {
    acts.add(block)
    setOpenId(block.id)
  }
  return (
    <>
      <PartCards
        label={t('build.inStage')}
        parts={blocks}
        openId={openId}
        onOpen={setOpenId}
        onMove={acts.move}
        onRemove={acts.remove}
        removeLabel={t('build.removeBlock')}
        headOf={headOf}
        body={(block) =>
          isInstruction(block) ? (
            <InstructionSettings
              instruction={block}
              languages={languages}
              fromElsewhere={fromElsewhere}
              onChange={acts.change}
            />
          ) : (
            <QuestionSettings question={block} languages={languages} onChange={acts.change} />
          )
        }
      />
      {blocks.length >= MOST_BLOCKS ? (
        <p>{t('build.stageFull', { most: MOST_BLOCKS })}</p>
      ) : (
        <AddQuestion
          kinds={fieldKinds}
          before={{
            icon: IconInfoCircle,
            name: t('instruction.label'),
            hint: t('instruction.hint'),
            onAdd: () => add(newInstruction(newId())),
          }}
          // A field makes questions of its kind, which the compiler does not follow.
          onAdd={(kind: FieldKind) => add(fieldOf({ kind }).create(newId()) as Question)}
        />
      )}
    </>
  )
}

function useBlockHead() {
  const { t } = useTranslation(['guides', 'sheets'])
  const words = useGuideWords()
  return (block: Block) =>
    isInstruction(block)
      ? { icon: IconInfoCircle, title: t('instruction.label'), facts: t('instruction.hint') }
      : {
          icon: fieldUiOf(block).icon,
          title: words.text(block.asks) || t('sheets:answer.unnamed'),
          facts: `${t(`sheets:kinds.${block.kind}`)}, ${t(`sheets:weight.${block.weight}`).toLowerCase()}`,
        }
}
