// The picture bench: tools under their questions, the picture as taken beside what others get, and the recipe.
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import useMediaQuery from '@mui/material/useMediaQuery'
import { IconCopy } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { resolveGeometry } from '@valise/core/pictures'
import type { SavedRecipe } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { BenchFoot } from './BenchFoot.tsx'
import { BenchPanes } from './BenchPanes.tsx'
import { BenchTool } from './BenchTool.tsx'
import { LeaveProposalDialog } from './LeaveProposalDialog.tsx'
import { MovePad } from './MovePad.tsx'
import { ProposalBar } from './ProposalBar.tsx'
import { withStep } from './recipeChanges.ts'
import { RecipeList } from './RecipeList.tsx'
import { ShowChecks } from './ShowChecks.tsx'
import { levelledBy } from './steps.ts'
import { ToolList } from './ToolList.tsx'
import { UndoButtons } from './UndoButtons.tsx'
import { UseOnOthers } from './UseOnOthers.tsx'
import { useBench } from './useBench.ts'
import styles from './Bench.module.css'

export function Bench({ item, saved }: { readonly item: Evidence; readonly saved: SavedRecipe }) {
  const { t } = useTranslation('bench')
  const isNarrow = useMediaQuery('(max-width: 767.95px)')
  const [isUsingOnOthers, setIsUsingOnOthers] = useState(false)
  const {
    of,
    original,
    inHand,
    tool,
    half,
    setHalf,
    horizon,
    setHorizon,
    proposal,
    offered,
    leaveProposal,
    said,
    setSaid,
    isPreviewing,
    deskState,
    recipe,
    chosenRecipe,
    show,
    save,
    concealing,
    marking,
    squaring,
    speaking,
    geometry,
    asTaken,
    result,
    doing,
    choose,
    findNames,
    turnHorizon,
  } = useBench(item, saved)

  return (
    <div className={styles.bench}>
      <ToolList recipe={chosenRecipe} chosen={tool} onChoose={choose} />
      <div className={styles.middle}>
        {isNarrow ? (
          <ChoiceBar
            label={t('halves.label')}
            value={half}
            choices={[
              ['taken', t('halves.taken')],
              ['result', t('halves.result')],
            ]}
            onChange={setHalf}
          />
        ) : null}
        <BenchPanes
          {...{
            of,
            item,
            tool,
            recipe,
            result,
            geometry,
            asTaken,
            original,
            concealing,
            marking,
            speaking,
            horizon,
          }}
          isOffered={offered !== null}
          doing={doing}
          only={isNarrow ? half : null}
          corners={tool === 'square' ? squaring.corners : null}
          error={deskState.state === 'failed' ? deskState.error : result.error}
          onCorners={squaring.move}
          onCornerDone={squaring.drop}
          onHorizon={(line) => {
            setHorizon(line)
            show(withStep(inHand.document, levelledBy(original, inHand.document, line)))
          }}
          onHorizonDone={() => save(recipe)}
          onShow={show}
          onSave={save}
        />
        {result.progress === null ? (
          <div className={styles.noProgress} />
        ) : (
          <div className={styles.progress}>
            <LinearProgress
              variant="determinate"
              value={result.progress * 100}
              aria-label={t('whole.making')}
            />
            <Button size="small" variant="text" onClick={result.cancel}>
              {t('whole.cancel')}
            </Button>
          </div>
        )}
        {offered ? (
          <>
            <ProposalBar recipe={offered} onSave={() => save(offered)} onLeave={leaveProposal} />
            <LeaveProposalDialog recipe={offered} onUse={() => save(offered)} />
          </>
        ) : (
          <BenchTool
            {...{ tool, recipe, concealing, marking, item, speaking, isPreviewing, geometry }}
            grey={result.preview?.grey ?? null}
            hasHorizon={horizon !== null}
            cropped={resolveGeometry(original, recipe.steps, 'crop').size}
            onShow={show}
            onSave={save}
            isSnapping={squaring.isSnapping}
            onSnapping={squaring.setIsSnapping}
            onFindSheet={squaring.find}
            onFindNames={() => void findNames()}
            onHorizon={turnHorizon}
          />
        )}
        <div className={styles.bar}>
          <UndoButtons {...inHand} />
          <MovePad />
          <p className={styles.hint} role="status">
            {doing
              ? t(`doing.${doing}`)
              : (said ?? (inHand.isMerged ? t('merged') : tool ? t(`hints.${tool}`) : ''))}
          </p>
        </div>
        <Refusal error={inHand.refused} />
      </div>
      <aside className={styles.panel} aria-label={t('panel')}>
        <h1>{t('question')}</h1>
        <ShowChecks item={item} recipe={chosenRecipe} suggested={offered} faults={proposal?.faults ?? []} />
        <div className={styles.recipeHead}>
          <h2>{t('recipe.title')}</h2>
          <Button
            size="small"
            variant="text"
            startIcon={<IconCopy size={18} stroke={1.7} />}
            disabled={inHand.document.steps.length === 0}
            onClick={() => setIsUsingOnOthers(true)}
          >
            {t('others.use')}
          </Button>
        </div>
        <RecipeList recipe={inHand.document} chosen={tool} onChoose={choose} onChange={save} />
        <BenchFoot id={item.id} note={t('savedByItself')} />
      </aside>
      {isUsingOnOthers ? (
        <UseOnOthers
          except={item.id}
          recipe={inHand.document}
          original={original}
          onSaid={setSaid}
          onClose={() => setIsUsingOnOthers(false)}
        />
      ) : null}
    </div>
  )
}
