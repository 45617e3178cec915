// Writing a set of attributes: its scale, its attributes in order, and how a student meets them.
import Button from '@mui/material/Button'
import { IconPlus, IconSeedling } from '@tabler/icons-react'
import { attributeSetFaults, mergeAttributeSets, MOST_ATTRIBUTES } from '@valise/core/attributes'
import type { AttributeSetContent } from '@valise/core/attributes'
import type { OwnOffered } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import {
  newId,
  OfferedFoot,
  OfferedHead,
  partActs,
  PartCards,
  PublishOffered,
  useLanguages,
  useOffered,
} from '../offers/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { AttributeSettings } from './AttributeSettings.tsx'
import { attributeSetApi } from './queries.ts'
import { SetLook } from './SetLook.tsx'
import { StepList } from './StepList.tsx'
import styles from './Attributes.module.css'

export function AttributeSetBuilder({ set: own }: { readonly set: OwnOffered<AttributeSetContent> }) {
  const { t, i18n } = useTranslation('attributes')
  const open = useOffered(attributeSetApi, own, mergeAttributeSets)
  const { document: content, set } = open
  const [openId, setOpenId] = useState<string | null>(null)
  const spoken = useLanguages([
    content.title,
    ...content.steps.map(({ label }) => label),
    ...content.attributes.map(({ name }) => name),
  ])
  const title = textIn(content.title, i18n.language) || t('list.untitled')
  const [fault] = attributeSetFaults(content)
  return (
    <Screen
      place={title}
      parent={t('list.place')}
      sentence={title}
      panel={
        <div className={styles.panel}>
          <h2>{t('look.title')}</h2>
          <p>{t('look.hint')}</p>
          <SetLook content={content} onlyId={openId} />
        </div>
      }
      panelLabel={t('look.title')}
    >
      <PublishOffered
        api={attributeSetApi}
        own={own}
        lacks={fault ? t(`faults.${fault.what}`, 'n' in fault ? { n: fault.n } : {}) : null}
        isSaved={open.delivery === 'delivered'}
      />
      <Refusal error={open.refused} />
      <OfferedHead content={content} spoken={spoken} onChange={(change) => set({ ...content, ...change })} />
      <StepList
        steps={content.steps}
        languages={spoken.languages}
        onChange={(steps) => set({ ...content, steps })}
      />
      <Attributes
        content={content}
        languages={spoken.languages}
        openId={openId}
        onOpen={setOpenId}
        onChange={(attributes) => set({ ...content, attributes })}
      />
      <OfferedFoot
        canUndo={open.canUndo}
        onUndo={open.undo}
        bin={{ kind: 'attributeSet', id: own.id, title, leaveTo: '/attribute-sets' }}
      />
    </Screen>
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
