// Writing an entry: its day, title, text and evidence. Everything is saved by itself.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconArrowBackUp } from '@tabler/icons-react'
import { countWords, idBefore } from '@valise/core/pages'
import { EVIDENCE_ROW, LONGEST_ENTRY_TITLE } from '@valise/core/reflections'
import type { Entry } from '@valise/core/reflections'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { PutInBin } from '../bin/index.ts'
import { LanguageField, TextEditor } from '../text/index.ts'
import type { TextLanguage } from '../text/index.ts'
import { OtherVersions, RefusedEdit } from '../saving/index.ts'
import { DayField } from '../ui/DayField.tsx'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { reflectionQueries } from './queries.ts'
import { BesideWords } from './BesideWords.tsx'
import { entryPath, useDateEntry } from './queries.ts'
import { useEntryEditor } from './useEntryEditor.ts'
import styles from './EntryEditor.module.css'
import '@valise/core/pages/paper.css'

export function EntryEditor({ entry }: { readonly entry: Entry }) {
  const { t } = useTranslation(['reflections', 'pages'])
  const { draft, textPiece, here, put } = useEntryEditor(entry)
  const { document, sync } = draft
  const { queryKey } = reflectionQueries.entry(entry.id)
  return (
    <div className={styles.screen}>
      <div className={styles.words}>
        <RefusedEdit draft={draft} />
        <p className={styles.where}>
          <Link component={RouterLink} to={`/logbooks/${entry.logbookId}`}>
            {entry.logbookTitle}
          </Link>
          <Day entry={entry} />
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
        {textPiece ? (
          <div className={`paper ${styles.text}`} lang={document.lang}>
            <TextEditor
              key={textPiece.id}
              text={textPiece.text}
              fromElsewhere={draft.fromElsewhere}
              registerFlush={sync.registerFlush}
              place={`${entryPath(entry.id)}#${textPiece.id}`}
              isFocused={entry.draft.revision === 1}
              label={t('entry.words')}
              placeholder={t('entry.wordsHint')}
              onText={(text) => sync.act([{ op: 'set-piece', piece: { ...textPiece, text } }])}
            />
          </div>
        ) : null}
        <p className={styles.count}>
          {t('entries.words', { count: textPiece ? countWords(textPiece.text) : 0 })}
        </p>
      </div>
      <aside className={styles.beside} aria-label={t('entry.beside')}>
        <OtherVersions path={entryPath(entry.id)} queryKey={queryKey} draft={entry.draft} sync={sync} />
        <BesideWords
          document={document}
          evidence={{ ...here, ...entry.draft.shown.evidence }}
          onPut={(item) => put([item])}
          onChange={(piece) => sync.act([{ op: 'set-piece', piece }])}
          onRemove={(pieceId) => sync.act([{ op: 'remove-piece', pieceId }])}
          onUp={(pieceId) => {
            const pieces = document.rows.find(({ id }) => id === EVIDENCE_ROW)?.pieces ?? []
            const before = idBefore(pieces, pieceId)
            const after = before === null ? null : idBefore(pieces, before)
            sync.act([{ op: 'move-piece', pieceId, rowId: EVIDENCE_ROW, after }])
          }}
        />
        <Foot
          id={entry.id}
          logbookId={entry.logbookId}
          title={document.title}
          lang={document.lang}
          onLang={(lang) => sync.act([{ op: 'set-lang', lang }])}
          canUndo={draft.canUndo}
          onUndo={() => sync.undo()}
        />
      </aside>
    </div>
  )
}

function Day({ entry }: { readonly entry: Entry }) {
  const { t } = useTranslation('reflections')
  const date = useDateEntry(entry)
  // Each typed section makes another date; only the final one is saved.
  const saved = useSavedText(entry.day, (day) => {
    if (day !== '') date.mutate(day)
  })
  return (
    <div
      className={styles.day}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) saved.leave()
      }}
    >
      <DayField label={t('entry.day')} value={saved.text} onChange={saved.change} />
      <Refusal error={date.error} />
    </div>
  )
}

interface FootProps {
  readonly id: string
  readonly logbookId: string
  readonly title: string
  readonly lang: TextLanguage
  readonly onLang: (lang: TextLanguage) => void
  readonly canUndo: boolean
  readonly onUndo: () => void
}

function Foot({ id, logbookId, title, lang, onLang, canUndo, onUndo }: FootProps) {
  const { t } = useTranslation(['pages', 'reflections'])
  return (
    <div className={styles.foot} data-print="off">
      <LanguageField label={t('reflections:entry.language')} value={lang} onChange={onLang} />
      <Button
        variant="text"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!canUndo}
        onClick={onUndo}
      >
        {t('foot.undo')}
      </Button>
      <PutInBin kind="entry" id={id} title={title} leaveTo={`/logbooks/${logbookId}`} />
    </div>
  )
}
