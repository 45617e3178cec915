// The open page: the seam on top, the paper with its rows, and beside it what can be added.
import useMediaQuery from '@mui/material/useMediaQuery'
import { renderPage } from '@valise/core/pages'
import type { Page } from '@valise/core/pages'
import type { EvidenceRow } from '@valise/core/evidence'
import { Suspense, useEffect, useMemo, useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { setPlace } from '../ui/place.ts'
import { useDiscardUntouched, useIsNew } from '../ui/useDiscardUntouched.ts'
import { useTrayPlace } from '../evidence/tray/index.ts'
import { OtherVersions, RefusedEdit } from '../saving/index.ts'
import { draftView } from '../evidence/base/index.ts'
import { AddOnPhone } from './AddOnPhone.tsx'
import { AddPiece } from './AddPiece.tsx'
import { NearlyFull } from './NearlyFull.tsx'
import { PageCanvas } from './PageCanvas.tsx'
import { PageFoot } from './PageFoot.tsx'
import { pagePath, pageQueries, useDiscardPage } from './queries.ts'
import { Seam } from './Seam.tsx'
import { PageActsProvider, PageStateProvider, usePage, usePageEditor } from './usePageEditor.ts'
import type { PageEditorState } from './usePageEditor.ts'
import styles from './PageEditor.module.css'
import '@valise/core/pages/paper.css'

interface PageEditorProps {
  readonly page: Page
  /** What stands below the page. */
  readonly below: ReactNode
}

export function PageEditor({ page, below }: PageEditorProps) {
  const { t } = useTranslation(['pages', 'app'])
  const { state, acts } = usePageEditor(page)
  const queryKey = useMemo(() => pageQueries.one(page.id).queryKey, [page.id])
  const editor = { ...state, ...acts }
  const [isPreviewing, setIsLooking] = useState(false)
  const isNarrow = useMediaQuery('(max-width: 767.95px)')
  const { document } = editor.draft
  const title = document.title || t('untitled')
  useEffect(() => setPlace({ name: title, parent: t('app:places.pages') }), [title, t])
  useTrayVerbs(editor)
  useDiscardNewPage(page.id, editor.draft)
  return (
    <PageActsProvider value={acts}>
      <PageStateProvider value={editor}>
        <div className={styles.screen}>
          <Seam isPreviewing={isPreviewing} onPreview={() => setIsLooking((looking) => !looking)} />
          {isPreviewing ? (
            <Look />
          ) : (
            <div className={styles.lay}>
              <div className={styles.sunk}>
                <RefusedEdit draft={editor.draft} />
                <NearlyFull document={document} />
                <PageCanvas />
                {isNarrow ? <AddOnPhone /> : null}
              </div>
              <aside className={styles.panel} aria-label={t('panel')} data-print="off">
                <div className={styles.stay}>
                  <OtherVersions
                    path={pagePath(page.id)}
                    queryKey={queryKey}
                    draft={page.draft}
                    sync={editor.draft.sync}
                  />
                  <Suspense fallback={null}>{below}</Suspense>
                  {isNarrow ? null : <AddPiece />}
                  <PageFoot
                    id={page.id}
                    title={document.title}
                    lang={document.lang}
                    canUndo={state.draft.canUndo}
                    sync={state.draft.sync}
                  />
                </div>
              </aside>
            </div>
          )}
        </div>
      </PageStateProvider>
    </PageActsProvider>
  )
}

/** The page as it would be published now. */
function Look() {
  const { draft, shown } = usePage()
  const { document } = draft
  const html = useMemo(() => renderPage(document, draftView(document.lang, shown)), [document, shown])
  return (
    <div className={styles.preview}>
      {/* The core's renderer builds it from known parts and escapes all text. */}
      <div className={styles.previewPaper} dangerouslySetInnerHTML={{ __html: html }} />
    </div>
  )
}

/** Whoever begins a page and leaves it as it is leaves nothing behind. */
function useDiscardNewPage(id: string, { sync }: PageEditorState['draft']): void {
  const isNew = useIsNew()
  const discard = useDiscardPage(id)
  useDiscardUntouched(() => {
    const { document, revision, queued } = sync.state()
    const isEmpty = document.title === '' && document.rows.length === 0
    return isNew && isEmpty && revision === 1 && queued === 0
  }, discard)
}

/** While a page is open, what the tray holds can be put on it. */
function useTrayVerbs({ hold, addEvidence, draft }: PageEditorState): void {
  const { t } = useTranslation('pages')
  const { rows } = draft.document
  const last = rows.at(-1)?.id ?? null
  useTrayPlace(
    useMemo(
      () => ({
        one: t('tray.one'),
        all: t('tray.all', { row: rows.length + 1 }),
        onOne: (item: EvidenceRow) => hold({ kind: 'evidence', items: [item] }),
        onAll: (items: readonly EvidenceRow[]) => addEvidence(items, { kind: 'new-row', after: last }),
      }),
      [t, rows.length, last, hold, addEvidence],
    ),
  )
}
