// What is spoken or filmed in an entry: heard, marked at its moments, and written down for those who do not hear it.
import Button from '@mui/material/Button'
import { IconFlag, IconMicrophone, IconVideo, IconX } from '@tabler/icons-react'
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import type { MarkedMoment, PieceOf } from '@valise/core/pages'
import { spokenIn } from '@valise/core/reflections'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, fileAddress, useChangeEvidence, useEvidenceWords } from '../evidence/base/index.ts'
import { WordsForOthers } from '../evidence/item/index.ts'
import { findDuration, MomentList } from '../evidence/voices/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import type { useEntryEditor } from './useEntryEditor.ts'
import styles from './EntryEditor.module.css'

interface SpokenWordsProps {
  readonly editor: ReturnType<typeof useEntryEditor>
}

export function SpokenWords({ editor: { draft, acts } }: SpokenWordsProps) {
  const { t } = useTranslation('reflections')
  return (
    <section className={styles.spoken} aria-label={t('spoken.label')}>
      {spokenIn(draft.document).map((piece) => (
        <Recording
          key={piece.id}
          piece={piece}
          onMoments={(moments) => acts.setPiece({ ...piece, moments })}
          onRemove={() => acts.remove(piece.id)}
        />
      ))}
      <div className={styles.speak} data-print="off">
        <Button
          size="small"
          startIcon={<IconMicrophone size={18} stroke={1.7} />}
          onClick={() => acts.record('voice')}
        >
          {t('spoken.voice')}
        </Button>
        <Button
          size="small"
          startIcon={<IconVideo size={18} stroke={1.7} />}
          onClick={() => acts.record('film')}
        >
          {t('spoken.film')}
        </Button>
      </div>
    </section>
  )
}

interface RecordingProps {
  readonly piece: PieceOf<'file'>
  readonly onMoments: (moments: MarkedMoment[]) => void
  readonly onRemove: () => void
}

function Recording({ piece, ...acts }: RecordingProps) {
  const query = useQuery(evidenceQueries.one(piece.evidenceId))
  return (
    <Fetched query={query}>{(item) => <Heard item={item} moments={piece.moments ?? []} {...acts} />}</Fetched>
  )
}

interface HeardProps extends Omit<RecordingProps, 'piece'> {
  readonly item: Evidence
  readonly moments: readonly MarkedMoment[]
}

function Heard({ item, moments, onMoments, onRemove }: HeardProps) {
  const { t } = useTranslation('reflections')
  const title = useEvidenceWords().title(item)
  const change = useChangeEvidence(item.id)
  const player = useRef<HTMLVideoElement & HTMLAudioElement>(null)
  useEffect(() => {
    if (player.current) return findDuration(player.current)
  }, [])
  const Player = item.version.mime.startsWith('video/') ? 'video' : 'audio'
  const mark = () => {
    const atMs = Math.round((player.current?.currentTime ?? 0) * 1000)
    onMoments([...moments, { atMs, words: '' }].sort((a, b) => a.atMs - b.atMs))
  }
  return (
    <div className={styles.heard}>
      <Player
        ref={player}
        src={fileAddress(item.id, item.version.n)}
        controls
        preload="metadata"
        playsInline
        aria-label={title}
      />
      <div className={styles.speak} data-print="off">
        <Button size="small" variant="text" startIcon={<IconFlag size={18} stroke={1.7} />} onClick={mark}>
          {t('spoken.mark')}
        </Button>
        <Button
          size="small"
          variant="text"
          startIcon={<IconX size={18} stroke={1.7} />}
          aria-label={t('entry.removeOf', { title })}
          onClick={onRemove}
        >
          {t('entry.remove')}
        </Button>
      </div>
      <MomentList
        moments={moments}
        onGo={({ atMs }) => {
          if (player.current) player.current.currentTime = atMs / 1000
        }}
        onChange={onMoments}
      />
      <WordsForOthers
        item={item}
        readOnly={item.binnedAt !== null}
        onSave={(words) => change.mutate(words)}
      />
      <Refusal error={change.error} />
    </div>
  )
}
