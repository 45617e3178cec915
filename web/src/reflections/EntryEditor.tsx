// Writing an entry: its day, title, questions, text and evidence. Everything is saved by itself.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconArrowBackUp } from '@tabler/icons-react'
import { EVIDENCE_ROW, LONGEST_ENTRY_TITLE } from '@valise/core/reflections'
import type { Entry } from '@valise/core/reflections'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { PutInBin } from '../bin/index.ts'
import { OtherVersions, RefusedEdit } from '../saving/index.ts'
import { SheetField } from '../sheets/index.ts'
import { LanguageField } from '../text/index.ts'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { BesideWords } from './BesideWords.tsx'
import { EntryDay } from './EntryDay.tsx'
import { EntryTags } from './EntryTags.tsx'
import { EntryWords } from './EntryWords.tsx'
import { NewerSheet } from './NewerSheet.tsx'
import { OfThoseDays } from './OfThoseDays.tsx'
import { SpokenWords } from './SpokenWords.tsx'
import { entryPath, reflectionQueries } from './queries.ts'
import { useEntryEditor } from './useEntryEditor.ts'
import styles from './EntryEditor.module.css'
import '@valise/core/pages/paper.css'

/** For whoever came from a guide, in which the entry stands as well. */
function BackToGuide() {
  const { t } = useTranslation('reflections')
  const [search] = useSearchParams()
  const copyId = search.get('guide')
  if (copyId === null) return null
  return (
    <Link component={RouterLink} to={`${screenOf('guideCopy', copyId)}?stage=${search.get('stage') ?? ''}`}>
      {t('entry.backToGuide')}
    </Link>
  )
}

export function EntryEditor({ entry }: { readonly entry: Entry }) {
  const { t } = useTranslation(['reflections', 'pages'])
  const editor = useEntryEditor(entry)
  const { draft, acts, evidence } = editor
  const { document, sync } = draft
  const beside = document.rows.find(({ id }) => id === EVIDENCE_ROW)?.pieces ?? []
  const { queryKey } = reflectionQueries.entry(entry.id)
  return (
    <div className={styles.screen}>
      <div className={styles.words}>
        <RefusedEdit draft={draft} />
        <p className={styles.where}>
          <Link component={RouterLink} to={`/logbooks/${entry.logbookId}`}>
            {entry.logbookTitle}
          </Link>
          <EntryDay entry={entry} />
          <BackToGuide />
        </p>
        <h1>
          <InlineTitle
            label={t('entry.title')}
            placeholder={t('entry.titleHint')}
            most={LONGEST_ENTRY_TITLE}
            value={document.title}
            onChange={(next) => sync.act([{ op: 'set-title', title: next }])}
          />
        </h1>
        <div className={styles.how} data-print="off">
          <SheetField
            label={t('entry.sheet')}
            value={document.sheet?.id ?? ''}
            {...(document.sheet && { title: document.sheet.title })}
            onChange={(sheetId) => void acts.takeSheet(sheetId)}
          />
          <div className={styles.language}>
            <LanguageField
              label={t('entry.language')}
              value={document.lang}
              onChange={(lang) => sync.act([{ op: 'set-lang', lang }])}
            />
          </div>
        </div>
        <Refusal error={editor.sheet.error} />
        {editor.sheet.isTooLong ? (
          <p role="alert" className={styles.newer}>
            {t('entry.sheetFull')}
          </p>
        ) : null}
        <NewerSheet sheet={document.sheet ?? null} onTake={(sheetId) => void acts.takeSheet(sheetId)} />
        <SpokenWords editor={editor} />
        <EntryWords entry={entry} editor={editor} />
      </div>
      <aside className={styles.beside} aria-label={t('entry.beside')}>
        <OtherVersions path={entryPath(entry.id)} queryKey={queryKey} draft={entry.draft} sync={sync} />
        <section aria-label={t('entry.beside')}>
          <h2>{t('entry.beside')}</h2>
          <BesideWords
            pieces={beside}
            lang={document.lang}
            evidence={evidence}
            empty={t('entry.besideEmpty')}
            onPut={(item) => acts.put([item])}
            onChange={acts.setPiece}
            onRemove={acts.remove}
            onUp={(pieceId) => acts.moveUp(EVIDENCE_ROW, pieceId)}
          />
        </section>
        <OfThoseDays day={entry.day} document={document} onPut={(item) => acts.put([item])} />
        <EntryTags entry={entry} />
        <div className={styles.foot} data-print="off">
          <Button
            variant="text"
            startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
            disabled={!draft.canUndo}
            onClick={() => sync.undo()}
          >
            {t('pages:foot.undo')}
          </Button>
          <PutInBin
            kind="entry"
            id={entry.id}
            title={document.title}
            leaveTo={`/logbooks/${entry.logbookId}`}
          />
        </div>
      </aside>
    </div>
  )
}
