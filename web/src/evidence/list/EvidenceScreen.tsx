// Evidence: what have I got, and where is it used? One query drives grid, time line and table; an item opens in its
// drawer.
import Button from '@mui/material/Button'
import type { EvidenceRow } from '@valise/core/evidence'
import { everything, isEverything } from '@valise/core/evidence'
import { IconAdjustments } from '@tabler/icons-react'
import { useCallback, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../../api/index.ts'
import { MissingScreen } from '../../ui/MissingScreen.tsx'
import { GatherMenu, LeftRecordings } from '../../gather/index.ts'
import { Empty } from '../../ui/Empty.tsx'
import { Fetched } from '../../ui/Fetched.tsx'
import { Screen } from '../../ui/Screen.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { AlikeDialog, EvidenceDrawer } from '../item/index.ts'
import { UploadList } from '../upload/index.ts'
import { ClassMenu } from './ClassClause.tsx'
import { EvidenceGrid } from './EvidenceGrid.tsx'
import { EvidenceTable } from './EvidenceTable.tsx'
import { MarkToggles } from './MarkToggles.tsx'
import { QueryDialog } from './QueryDialog.tsx'
import { QuerySentence } from './QuerySentence.tsx'
import { SavedQueries } from './SavedQueries.tsx'
import { SelectionBar } from './SelectionBar.tsx'
import { TagMenu } from './TagClause.tsx'
import { TimeMenu } from './TimeClause.tsx'
import { ViewSwitch } from './ViewSwitch.tsx'
import { WeekRibbon } from './WeekRibbon.tsx'
import { WordSearch } from './WordSearch.tsx'
import { useFoundEvidence } from './useFoundEvidence.ts'
import styles from './EvidenceScreen.module.css'

export function EvidenceScreen() {
  const { t } = useTranslation(['evidence', 'app'])
  const {
    openId,
    state,
    list,
    counts,
    opened,
    items,
    choosing,
    offerBack,
    toggle,
    close,
    evidenceWords,
    count,
    onBinned,
    onEnd,
  } = useFoundEvidence()
  const { query, view, search, change, show } = state
  const [isAsking, setIsAsking] = useState(false)
  const [isComparing, setIsComparing] = useState(false)
  const dayOf = useDayWords()
  const drawer = (pointerAt: number | null) =>
    openId === null ? null : (
      <EvidenceDrawer key={openId} id={openId} pointerAt={pointerAt} onClose={close} onBinned={onBinned} />
    )

  if (opened.error instanceof ApiProblem && opened.error.code === 'not-found') return <MissingScreen />
  const isAway = openId !== null && !items.some(({ id }) => id === openId)
  const shared = { label: t('gridLabel'), items, openId, choosing, onToggle: toggle, drawer, onEnd }
  return (
    <Screen
      place={t('app:places.evidence')}
      title={opened.data && evidenceWords.title(opened.data)}
      parent={t('app:stops.gather')}
      sentence={<QuerySentence query={query} counts={counts} onChange={change} />}
      act={
        <div className={styles.act}>
          <WordSearch words={query.words} onChange={(words) => change({ words })} />
          <GatherMenu />
        </div>
      }
    >
      <div className={styles.tools}>
        <MarkToggles query={query} counts={counts} onChange={change} />
        <ViewSwitch view={view} onChange={show} />
      </div>
      <div className={styles.more}>
        <Button
          size="small"
          variant="text"
          startIcon={<IconAdjustments size={17} stroke={1.7} />}
          onClick={() => setIsAsking(true)}
        >
          {t('query.change')}
        </Button>
        <TagMenu query={query} onChange={change} />
        <TimeMenu query={query} onChange={change} />
        <ClassMenu query={query} onChange={change} />
        <SavedQueries search={search} />
        {isEverything(query) ? null : (
          <Button size="small" variant="text" onClick={() => change(everything)}>
            {t('query.everything')}
          </Button>
        )}
        {query.marks.includes('alike') || query.likeId !== null ? (
          <Button size="small" variant="text" onClick={() => setIsComparing(true)}>
            {t('alike.compare')}
          </Button>
        ) : null}
        <span className={styles.found} role="status">
          {counts ? t('found', { count: counts.matching, all: counts.all }) : ''}
        </span>
      </div>
      {counts ? (
        <WeekRibbon weeks={counts.weeks} from={query.from} until={query.until} onChange={change} />
      ) : null}
      <LeftRecordings />
      <UploadList openId={openId} />
      {isAway && list.data ? drawer(null) : null}
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Nothing isEverything={isEverything(query)} onEverything={() => change(everything)} />
          ) : view === 'table' ? (
            <EvidenceTable
              {...shared}
              count={count}
              order={query.order}
              onOrder={(order) => change({ order })}
            />
          ) : (
            <EvidenceGrid {...shared} dayOf={view === 'time' ? dayOf : undefined} />
          )
        }
      </Fetched>
      <SelectionBar choosing={choosing} query={query} count={count} onBinned={offerBack} />
      {isAsking ? (
        <QueryDialog query={query} counts={counts} onChange={change} onClose={() => setIsAsking(false)} />
      ) : null}
      {isComparing ? (
        <AlikeDialog query={query} onBinned={offerBack} onClose={() => setIsComparing(false)} />
      ) : null}
    </Screen>
  )
}

/** The day of a thing, as the time line says it. */
function useDayWords(): (item: EvidenceRow) => string {
  const when = useWhen()
  const { i18n } = useTranslation()
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the words change with the language alone
  return useCallback(({ madeAt }: EvidenceRow) => when.day(madeAt), [i18n.language])
}

interface NothingProps {
  readonly isEverything: boolean
  readonly onEverything: () => void
}

function Nothing({ isEverything: isAll, onEverything }: NothingProps) {
  const { t } = useTranslation('evidence')
  if (isAll) return <Empty>{t('empty')}</Empty>
  return (
    <div className={styles.nothing}>
      <Empty>
        {t('foundNothing')}{' '}
        <Button size="small" onClick={onEverything}>
          {t('query.everything')}
        </Button>
      </Empty>
    </div>
  )
}
