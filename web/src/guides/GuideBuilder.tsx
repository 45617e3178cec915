// Writing a guide: how it is read, its stages in order, and the way to the classes that work through it.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconPlus, IconRoute } from '@tabler/icons-react'
import { guideFaults, mergeGuides, MOST_STAGES } from '@valise/core/guides'
import type { GuideContent, Stage } from '@valise/core/guides'
import type { OwnOffered } from '@valise/core/offers'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { newId, OfferedBuilder, partActs, PartCards, useLanguages, useOffered } from '../offers/index.ts'
import { useSession } from '../session/index.ts'
import { GuideReadingField } from './GuideReadingField.tsx'
import { GuideTryOut } from './GuideTryOut.tsx'
import { guideApi } from './queries.ts'
import { StageSettings } from './StageSettings.tsx'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

export function GuideBuilder({ guide }: { readonly guide: OwnOffered<GuideContent> }) {
  const { t } = useTranslation(['guides', 'app'])
  const open = useOffered(guideApi, guide, mergeGuides)
  const { document: content, set } = open
  const spoken = useLanguages([content.title, ...content.stages.map(({ name }) => name)])
  const [fault] = guideFaults(content)
  return (
    <OfferedBuilder
      api={guideApi}
      kind="guide"
      own={guide}
      open={open}
      spoken={spoken}
      parent={t('app:places.guidesSet')}
      untitled={t('list.untitled')}
      lacks={fault ? t(`faults.${fault.what}`, { ...fault }) : null}
      isForClassesAlone
      panel={<GuideTryOut content={content} />}
      panelLabel={t('build.tryOut')}
    >
      <FollowLinks guide={guide} />
      <GuideReadingField content={content} onChange={(change) => set({ ...content, ...change })} />
      <Stages
        stages={content.stages}
        languages={spoken.languages}
        fromElsewhere={open.fromElsewhere}
        onChange={(stages) => set({ ...content, stages })}
      />
    </OfferedBuilder>
  )
}

/** The way to each class that works through it. */
function FollowLinks({ guide }: { readonly guide: OwnOffered<GuideContent> }) {
  const { t } = useTranslation('guides')
  const { memberships } = useSession()
  const classes = memberships.filter(({ classId }) => guide.offers.includes(classId))
  if (classes.length === 0) return null
  return (
    <p className={styles.followLinks}>
      {classes.map(({ classId, className }) => (
        <Link key={classId} component={RouterLink} to={`/guides/${guide.id}/classes/${classId}`}>
          {t('build.follow', { class: className })}
        </Link>
      ))}
    </p>
  )
}

interface StagesProps {
  readonly stages: readonly Stage[]
  readonly languages: readonly ('en' | 'es')[]
  readonly fromElsewhere: number
  readonly onChange: (stages: Stage[]) => void
}

function Stages({ stages, languages, fromElsewhere, onChange }: StagesProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const [openId, setOpenId] = useState<string | null>(null)
  const acts = partActs(stages, onChange)
  const add = () => {
    const id = newId()
    const opens = { how: stages.length === 0 ? ('at' as const) : ('after' as const), local: null }
    acts.add({ id, name: {}, opens, closesLocal: null, blocks: [] })
    setOpenId(id)
  }
  return (
    <>
      <h2 className={styles.buildHead}>{t('build.stages')}</h2>
      <PartCards
        label={t('build.stages')}
        parts={stages}
        openId={openId}
        onOpen={setOpenId}
        onMove={acts.move}
        onRemove={acts.remove}
        removeLabel={t('build.removeStage')}
        headOf={({ name, opens, blocks }) => ({
          icon: IconRoute,
          title: words.text(name) || t('stage.untitled'),
          facts: `${t(`build.opens.${opens.how}`)}, ${t('build.blocks', { count: blocks.length })}`,
        })}
        body={(stage) => (
          <StageSettings
            stage={stage}
            languages={languages}
            fromElsewhere={fromElsewhere}
            onChange={acts.change}
          />
        )}
      />
      {stages.length >= MOST_STAGES ? (
        <p>{t('build.full', { most: MOST_STAGES })}</p>
      ) : (
        <Button startIcon={<IconPlus size={18} stroke={1.7} />} onClick={add} sx={{ mt: 1.5 }}>
          {t('build.addStage')}
        </Button>
      )}
    </>
  )
}
