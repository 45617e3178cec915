// The slot on Today: its sentence holds the ways in as links, and under a line the phone lends its camera.
import { Fragment } from 'react'
import { useTranslation } from 'react-i18next'
import { IconDeviceMobile } from '@tabler/icons-react'
import { useSources } from '../../gather/index.ts'
import type { Source } from '../../gather/index.ts'
import { areJustTaken, chooseFiles, addFiles } from '../upload/index.ts'
import { useClassInView } from '../base/index.ts'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import styles from './DropSlot.module.css'

export function DropSlot() {
  const { t } = useTranslation('things')
  const { sources, go } = useSources()
  const classId = useClassInView()
  const takeByPhone = async () => {
    const openedAt = Date.now()
    const files = await chooseFiles({ camera: true })
    if (files.length > 0) void addFiles(files, { classId, isMine: areJustTaken(files, openedAt) })
  }
  return (
    <div className={styles.slot} data-print="off">
      <StitchedBox>
        <p className={styles.byPointer}>
          <Sentence words={t('add.slot')} onVerb={go} />
        </p>
        <p className={styles.byFinger}>
          {/* A phone has a camera program of its own, which does it better than a page could. */}
          <Sentence
            words={t('add.slotPhone')}
            onVerb={(source) => (source === 'photo' ? void takeByPhone() : go(source))}
          />
        </p>
        {sources.includes('drive') || sources.includes('shelf') ? (
          <p className={styles.also}>
            <Sentence
              words={t(
                sources.includes('drive') && sources.includes('shelf')
                  ? 'add.also'
                  : sources.includes('drive')
                    ? 'add.alsoDrive'
                    : 'add.alsoShelf',
              )}
              onVerb={go}
            />
          </p>
        ) : null}
        <p className={styles.phone}>
          <button type="button" onClick={() => go('phone')}>
            <IconDeviceMobile size={20} stroke={1.7} aria-hidden="true" />
            {t('sources.phone')}
          </button>
        </p>
      </StitchedBox>
    </div>
  )
}

interface SentenceProps {
  /** With its verbs in tags, wherever the language puts them. */
  readonly words: string
  readonly onVerb: (source: Source) => void
}

/** The library's own component for this weighs more than the rest of this screen. */
function Sentence({ words, onVerb }: SentenceProps) {
  return words.split(/(<\w+>.*?<\/\w+>[,.]?)/).map((piece, n) => {
    const [, name, inner, mark] = /^<(\w+)>(.*)<\/\w+>(.?)$/.exec(piece) ?? []
    if (name === undefined) return <Fragment key={n}>{piece}</Fragment>
    return (
      // A comma stays with its verb: browsers break lines after a button wherever it ends.
      <span key={n} className={styles.verb}>
        {/* The tags in the words are names of ways in. */}
        <button type="button" onClick={() => onVerb(name as Source)}>
          {inner}
        </button>
        {mark}
      </span>
    )
  })
}
