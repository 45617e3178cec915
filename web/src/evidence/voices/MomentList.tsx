// The moments of a recording: one goes to each, says what it is about, and takes it out again.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import TextField from '@mui/material/TextField'
import { IconX } from '@tabler/icons-react'
import { LONGEST_MOMENT } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSavedText } from '../../ui/useSavedText.ts'
import { toPlayTime } from '../base/index.ts'
import styles from './SpeakOver.module.css'

interface AtMoment {
  readonly atMs: number
  readonly words: string
}

interface MomentListProps<M extends AtMoment> {
  readonly moments: readonly M[]
  readonly onGo: (moment: M) => void
  readonly onChange: (moments: M[]) => void
}

export function MomentList<M extends AtMoment>({ moments, onGo, onChange }: MomentListProps<M>) {
  return (
    <ol className={styles.moments}>
      {moments.map((moment, at) => (
        <MomentRow
          // Two moments may be at one time; their place in the list is what tells them apart.
          key={`${moment.atMs}-${at}`}
          {...{ moment, n: at }}
          onGo={() => onGo(moment)}
          onSay={(words) => onChange(moments.map((one, place) => (place === at ? { ...one, words } : one)))}
          onDrop={() => onChange(moments.filter((_, place) => place !== at))}
        />
      ))}
    </ol>
  )
}

interface MomentRowProps {
  readonly moment: AtMoment
  readonly n: number
  readonly onGo: () => void
  readonly onSay: (words: string) => void
  readonly onDrop: () => void
}

function MomentRow({ moment, n, onGo, onSay, onDrop }: MomentRowProps) {
  const { t } = useTranslation('evidence')
  const saved = useSavedText(moment.words, onSay)
  const time = toPlayTime(moment.atMs)
  return (
    <li>
      <Button size="small" aria-label={t('voice.goTo', { n: n + 1, time })} onClick={onGo}>
        {n + 1} · {time}
      </Button>
      <TextField
        size="small"
        fullWidth
        placeholder={t('voice.what')}
        value={saved.text}
        onChange={(event) => saved.change(event.target.value)}
        onBlur={saved.leave}
        slotProps={{ htmlInput: { maxLength: LONGEST_MOMENT, 'aria-label': t('voice.whatAt', { time }) } }}
      />
      <IconButton size="small" aria-label={t('voice.dropMoment', { time })} onClick={onDrop}>
        <IconX size={16} stroke={1.7} />
      </IconButton>
    </li>
  )
}
