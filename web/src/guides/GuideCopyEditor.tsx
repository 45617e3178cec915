// Working through a copy: the route of stages, the stage that is open on paper, and what is said of it. All is saved by itself.
import Button from '@mui/material/Button'
import { IconArrowBackUp, IconEye } from '@tabler/icons-react'
import { mustHandIn } from '@valise/core/guides'
import type { GuideCopy, StageOnRoute } from '@valise/core/guides'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { PutInBin } from '../bin/index.ts'
import { OtherVersions, RefusedEdit } from '../saving/index.ts'
import { Screen } from '../ui/Screen.tsx'
import { EarlierAnswers } from './EarlierAnswers.tsx'
import { FeedbackList } from './FeedbackList.tsx'
import { HandInGuide } from './HandInGuide.tsx'
import { HowRead } from './HowRead.tsx'
import { NewerGuide } from './NewerGuide.tsx'
import { guideQueries } from './queries.ts'
import { copyPath } from './starting.ts'
import { StageColumn } from './StageColumn.tsx'
import { StageRoute } from './StageRoute.tsx'
import { useGuideCopy } from './useGuideCopy.ts'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

export function GuideCopyEditor({ copy }: { readonly copy: GuideCopy }) {
  const { t } = useTranslation(['guides', 'app', 'pages'])
  const words = useGuideWords()
  const editor = useGuideCopy(copy)
  const { draft, stages } = editor
  const [search, setSearch] = useSearchParams()
  // Whoever does the last thing of a stage stays where they are.
  const [first] = useState(() => shownStage(stages, null)?.id ?? null)
  const shown = shownStage(stages, search.get('stage') || first)
  const stage = copy.content.stages.find(({ id }) => id === shown?.id)
  const title = words.text(copy.content.title)
  return (
    <Screen
      place={title}
      parent={t('app:places.guides')}
      within="guides"
      sentence={title}
      lead={<HowRead guide={copy} />}
      act={
        <Button
          component={RouterLink}
          to={`/guide-copies/${copy.id}/reading`}
          startIcon={<IconEye size={18} stroke={1.7} />}
        >
          {t('copy.seeAs')}
        </Button>
      }
    >
      <RefusedEdit draft={draft} />
      {mustHandIn(copy) ? <p className={styles.failed}>{t('handIn.failed')}</p> : null}
      <NewerGuide copy={copy} onTake={editor.acts.takeNewest} />
      <FeedbackList feedback={copy.feedback.filter((one) => one.stageId === null)} />
      <div className={styles.lay}>
        <div className={styles.aside}>
          <StageRoute
            stages={stages}
            shownId={shown?.id ?? null}
            onShow={(id) => setSearch({ stage: id }, { replace: true })}
          />
          <HandInGuide copy={copy} delivery={draft.delivery} />
        </div>
        <div className={styles.open}>
          {stage && shown ? (
            <StageColumn key={stage.id} editor={editor} stage={stage} state={shown} />
          ) : (
            <p>{t('copy.nothingOpen')}</p>
          )}
          <EarlierAnswers editor={editor} />
        </div>
      </div>
      <OtherVersions
        path={copyPath(copy.id)}
        queryKey={guideQueries.copy(copy.id).queryKey}
        draft={copy.draft}
        sync={draft.sync}
      />
      <div className={styles.foot} data-print="off">
        <Button
          variant="text"
          startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
          disabled={!draft.canUndo}
          onClick={() => draft.sync.undo()}
        >
          {t('pages:foot.undo')}
        </Button>
        <PutInBin kind="guideCopy" id={copy.id} title={title} leaveTo="/guide-copies" />
      </div>
    </Screen>
  )
}

/** The stage that was asked for, else the first that is open and not done, else the last that has opened. */
function shownStage(stages: readonly StageOnRoute[], wanted: string | null): StageOnRoute | null {
  const opened = stages.filter(({ phase }) => phase !== 'to-come')
  return (
    opened.find(({ id }) => id === wanted) ??
    opened.find(({ phase, progress }) => phase === 'open' && progress !== 'done') ??
    opened.at(-1) ??
    null
  )
}
