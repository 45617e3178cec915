// Puts a thing into the bin: what others lose by it is said first, and afterwards it can be undone.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQueryClient } from '@tanstack/react-query'
import { IconTrash } from '@tabler/icons-react'
import type { BinEffects } from '@valise/core/bin'
import type { ThingKind } from '@valise/core/things'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useThingWords } from '../things/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { offerUndo } from '../ui/footNote.ts'
import { useListWords } from '../ui/useListWords.ts'
import { binQueries, useBin } from './queries.ts'

interface PutInBinProps {
  readonly kind: ThingKind
  readonly id: string
  readonly title: string
  /** Where one goes when it is gone from here. */
  readonly leaveTo: string
}

export function PutInBin({ kind, id, title: given, leaveTo }: PutInBinProps) {
  const { t } = useTranslation('things')
  const words = useThingWords()
  const title = words.title({ kind, title: given })
  const bin = useBin()
  const client = useQueryClient()
  const navigate = useNavigate()
  const [effects, setEffects] = useState<BinEffects | null>(null)
  const [error, setError] = useState<unknown>(null)
  const put = () => {
    const takeOut = () => bin.mutateAsync({ id, act: 'out' })
    bin.mutate(
      { id, act: 'in' },
      {
        onSuccess: () => {
          void navigate(leaveTo)
          offerUndo(t('bin.done', { title }), takeOut)
        },
      },
    )
  }
  const begin = async () => {
    setError(null)
    try {
      const found = await client.fetchQuery(binQueries.effects(id))
      if (hasEffects(found)) setEffects(found)
      else put()
    } catch (problem) {
      setError(problem)
    }
  }
  return (
    <>
      <Button
        variant="text"
        startIcon={<IconTrash size={18} stroke={1.7} />}
        loading={bin.isPending}
        loadingPosition="start"
        onClick={() => void begin()}
      >
        {words.of(kind).put}
      </Button>
      <Refusal error={error ?? bin.error} />
      {effects ? (
        <Effects
          title={title}
          effects={effects}
          onClose={() => setEffects(null)}
          onPut={() => {
            setEffects(null)
            put()
          }}
        />
      ) : null}
    </>
  )
}

interface EffectsProps {
  readonly title: string
  readonly effects: BinEffects
  readonly onClose: () => void
  readonly onPut: () => void
}

function Effects({ title, effects, onClose, onPut }: EffectsProps) {
  const { t } = useTranslation(['things', 'app'])
  const list = useListWords()
  const titleId = useId()
  const { isPublished, seenBy, collections, chosenFor, handedIn } = effects
  const sentences = [
    seenBy.people > 0 ? t('bin.people', { count: seenBy.people }) : '',
    seenBy.links > 0 ? t('bin.links', { count: seenBy.links }) : '',
    isPublished && seenBy.people + seenBy.links === 0 ? t('bin.published') : '',
    collections.length > 0
      ? t('bin.collections', {
          titles: list.all(collections.map((one) => one || t('app:states.untitled'))),
          count: collections.length,
        })
      : '',
    chosenFor > 0 ? t('bin.chosen', { count: chosenFor }) : '',
    handedIn > 0 ? t('bin.handedIn', { count: handedIn }) : '',
  ].filter((sentence) => sentence !== '')
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {t('bin.ask', { title })}
      </DialogTitle>
      <DialogContent>
        <ul>
          {sentences.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        <p>{t('bin.back')}</p>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
        <Button variant="contained" color="primary" onClick={onPut}>
          {t('bin.putIt')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function hasEffects({ isPublished, seenBy, collections, chosenFor, handedIn }: BinEffects): boolean {
  return isPublished || seenBy.people + seenBy.links + collections.length + chosenFor + handedIn > 0
}
