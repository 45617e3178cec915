// The slot on Today: its sentence holds the ways in as links.
import { Fragment } from 'react'
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { chooseFiles } from './chooseFiles.ts'
import { addFiles } from './addFiles.ts'
import { useClassInView } from './useClassInView.ts'
import styles from './DropSlot.module.css'

export function DropSlot() {
  const { t } = useTranslation('things')
  const classId = useClassInView()
  const choose = async (camera: boolean) => {
    const files = await chooseFiles({ several: !camera, camera })
    if (files.length > 0) void addFiles(files, { classId })
  }
  const verbs = {
    choose: () => void choose(false),
    photo: () => void choose(true),
  }
  return (
    <div className={styles.slot}>
      <StitchedBox>
        <p className={styles.byPointer}>
          <Sentence words={t('add.slot')} verbs={verbs} />
        </p>
        <p className={styles.byFinger}>
          <Sentence words={t('add.slotPhone')} verbs={verbs} />
        </p>
      </StitchedBox>
    </div>
  )
}

interface SentenceProps {
  /** With its verbs in tags, wherever the language puts them. */
  readonly words: string
  readonly verbs: Readonly<Record<'choose' | 'photo', () => void>>
}

/** The library's own component for this weighs more than the rest of this screen. */
function Sentence({ words, verbs }: SentenceProps) {
  return words.split(/(<\w+>.*?<\/\w+>)/).map((piece, n) => {
    const [, name, inner] = /^<(choose|photo)>(.*)<\//.exec(piece) ?? []
    if (name !== 'choose' && name !== 'photo') return <Fragment key={n}>{piece}</Fragment>
    return (
      <button key={n} type="button" onClick={verbs[name]}>
        {inner}
      </button>
    )
  })
}
