// What a page still owes those who do not see its pictures or hear its recordings, asked for before it is published.
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { LONGEST_ALTERNATIVE_TEXT, LONGEST_TRANSCRIPT } from '@valise/core/evidence'
import { definitionOf, listUntranscribed, placedPieces } from '@valise/core/pages'
import type { PageDocument, PlayedRecording, Shown } from '@valise/core/pages'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, useChangeEvidence } from '../evidence/base/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { usePage } from './usePageEditor.ts'
import styles from './ChangesDialog.module.css'

interface WordsOwedProps {
  /** Told of words that are being saved: `settled` waits for them, retries once if that failed, and tells whether they are. */
  readonly onSaving: (id: string, settled: () => Promise<boolean>) => void
}

export function WordsOwed({ onSaving }: WordsOwedProps) {
  const { t } = useTranslation('pages')
  const { draft, shown, setPiece } = usePage()
  // What was asked for stays in the list while it is being answered.
  const [owed] = useState(() => ({
    pictures: describedIn(draft.document, shown).flatMap(({ key, isOwed }) => (isOwed ? [key] : [])),
    recordings: listUntranscribed(draft.document, shown),
  }))
  const pictures = describedIn(draft.document, shown).filter(({ key }) => owed.pictures.includes(key))
  if (pictures.length + owed.recordings.length === 0) return null
  return (
    <section className={styles.owed} aria-label={t('owed.label')}>
      {pictures.length > 0 ? <p>{t('owed.pictures', { count: pictures.length })}</p> : null}
      {pictures.map(({ piece, key, text }) => (
        <TextField
          key={key}
          label={t('owed.describe', { title: shown.evidence[key]?.title ?? '' })}
          size="small"
          multiline
          maxRows={4}
          fullWidth
          value={text}
          onChange={(event) => setPiece(definitionOf(piece).withDescription(piece, key, event.target.value))}
          slotProps={{ htmlInput: { maxLength: LONGEST_ALTERNATIVE_TEXT } }}
        />
      ))}
      {owed.recordings.length > 0 ? <p>{t('owed.recordings', { count: owed.recordings.length })}</p> : null}
      {owed.recordings.map((recording) => (
        <SaidIn key={recording.id} recording={recording} onSaving={onSaving} />
      ))}
    </section>
  )
}

/** The descriptions of a page, each with its piece. */
function describedIn(document: PageDocument, shown: Shown) {
  return placedPieces(document).flatMap(({ piece }) =>
    definitionOf(piece)
      .descriptions(piece, shown)
      .map((description) => ({ piece, ...description })),
  )
}

function SaidIn({ recording, onSaving }: WordsOwedProps & { readonly recording: PlayedRecording }) {
  const { t } = useTranslation('pages')
  const { id, title } = recording
  const item = useQuery(evidenceQueries.one(id))
  const change = useChangeEvidence(id)
  const saved = useSavedText(item.data?.transcript ?? '', (transcript) => {
    // Why it failed stands under the field.
    const save = () =>
      change.mutateAsync({ transcript }).then(
        () => true,
        () => false,
      )
    const first = save()
    onSaving(id, async () => (await first) || save())
  })
  return (
    <>
      <TextField
        label={t('owed.said', { title })}
        size="small"
        multiline
        maxRows={6}
        fullWidth
        disabled={item.data === undefined}
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: LONGEST_TRANSCRIPT } }}
      />
      <Refusal error={change.error} />
    </>
  )
}
