// Writing a set of attributes: its scale, its attributes in order, and how a student meets them.
import Button from '@mui/material/Button'
import { IconPlus, IconSeedling } from '@tabler/icons-react'
import { attributeSetFaults, mergeAttributeSets, MOST_ATTRIBUTES } from '@valise/core/attributes'
import type { AttributeSetContent } from '@valise/core/attributes'
import type { OwnOffered } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { newId, OfferedBuilder, partActs, PartCards, useLanguages, useOffered } from '../offers/index.ts'
import { AttributeSettings } from './AttributeSettings.tsx'
import { attributeSetApi } from './queries.ts'
import { SetLook } from './SetLook.tsx'
import { StepList } from './StepList.tsx'
import styles from './Attributes.module.css'

export function AttributeSetBuilder({ set: own }: { readonly set: OwnOffered<AttributeSetContent> }) {
  const { t } = useTranslation('attributes')
  const open = useOffered(attributeSetApi, own, mergeAttributeSets)
  const { document: content, set } = open
  const [openId, setOpenId] = useState<string | null>(null)
  const { title, steps, attributes } = content
  const spoken = useLanguages([
    title,
    ...steps.map(({ label }) => label),
    ...attributes.map(({ name }) => name),
  ])
  const [fault] = attributeSetFaults(content)
  return (
    <OfferedBuilder
      api={attributeSetApi}
      kind="attributeSet"
      own={own}
      open={open}
      spoken={spoken}
      parent={t('list.place')}
      untitled={t('list.untitled')}
      lacks={fault ? t(`faults.${fault.what}`, 'n' in fault ? { n: fault.n } : {}) : null}
      panel={
        <div className={styles.panel}>
          <h2>{t('look.title')}</h2>
          <p>{t('look.hint')}</p>
          <SetLook content={content} onlyId={openId} />
        </div>
      }
      panelLabel={t('look.title')}
    >
      <StepList
        steps={steps}
        languages={spoken.languages}
        onChange={(next) => set({ ...content, steps: next })}
      />
      <Attributes
        content={content}
        languages={spoken.languages}
        openId={openId}
        onOpen={setOpenId}
        onChange={(next) => set({ ...content, attributes: next })}
      />
    </OfferedBuilder>
  )
}

interface AttributesProps {
  readonly content: AttributeSetContent
  readonly languages: readonly ('en' | 'es')[]
  readonly openId: string | null
  readonly onOpen: (id: string | null) => void
  readonly onChange: (attributes: AttributeSetContent['attributes']) => void
}

function Attributes({ content, languages, openId, onOpen, onChange }: AttributesProps) {
  const { t, i18n } = useTranslation('attributes')
  const { attributes, steps } = content
  const acts = partActs(attributes, onChange)
  const add = () => {
    const id = newId()
    acts.add({ id, name: {}, meaning: {}, looks: {} })
    onOpen(id)
  }
  return (
    <>
      <h2 className={styles.heading}>{t('build.attributes')}</h2>
      <PartCards
        label={t('build.attributes')}
        parts={attributes}
        openId={openId}
        onOpen={onOpen}
        onMove={acts.move}
        onRemove={acts.remove}
        removeLabel={t('build.remove')}
        headOf={({ name, meaning }) => ({
          icon: IconSeedling,
          title: textIn(name, i18n.language) || t('look.unnamed'),
          facts: textIn(meaning, i18n.language),
        })}
        body={(attribute) => (
          <AttributeSettings
            attribute={attribute}
            steps={steps}
            languages={languages}
            onChange={acts.change}
          />
        )}
      />
      {attributes.length >= MOST_ATTRIBUTES ? (
        <p>{t('build.full', { most: MOST_ATTRIBUTES })}</p>
      ) : (
        <Button startIcon={<IconPlus size={18} stroke={1.7} />} onClick={add}>
          {t('build.add')}
        </Button>
      )}
    </>
  )
}
