// Rating oneself in an entry: which attributes? Each becomes a question of the entry.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconSeedling } from '@tabler/icons-react'
import { ratingQuestion } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { attributeSetApi, useUsableSets } from '../attributes/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { TickDialog } from '../ui/TickDialog.tsx'
import type { useEntryEditor } from './useEntryEditor.ts'

interface RateProps {
  readonly editor: Pick<ReturnType<typeof useEntryEditor>, 'acts' | 'answers'>
}

export function Rate({ editor }: RateProps) {
  const { t } = useTranslation('reflections')
  const [isChoosing, setIsChoosing] = useState(false)
  const [isFull, setIsFull] = useState(false)
  return (
    <div data-print="off">
      <Button
        variant="text"
        startIcon={<IconSeedling size={18} stroke={1.7} />}
        onClick={() => setIsChoosing(true)}
      >
        {t('rate.button')}
      </Button>
      {isFull ? <p role="alert">{t('entry.sheetFull')}</p> : null}
      {isChoosing ? (
        <ChooseAttributes
          editor={editor}
          onAsked={(hadRoom) => setIsFull(!hadRoom)}
          onClose={() => setIsChoosing(false)}
        />
      ) : null}
    </div>
  )
}

interface ChooseAttributesProps extends RateProps {
  readonly onAsked: (hadRoom: boolean) => void
  readonly onClose: () => void
}

function ChooseAttributes({ editor, onAsked, onClose }: ChooseAttributesProps) {
  const { t, i18n } = useTranslation('reflections')
  const known = useQuery(attributeSetApi.queries.list())
  const sets = useUsableSets()
  const there = new Set(editor.answers.map(({ piece }) => piece.given.question.id))
  const all = (sets ?? []).flatMap((set) =>
    set.content.attributes.flatMap(({ id }) => {
      const question = ratingQuestion(set, id)
      return question ? [{ question, set: textIn(set.content.title, i18n.language) }] : []
    }),
  )
  const open = all.filter(({ question }) => !there.has(question.id))
  const choices = open.map(({ question, set }) => ({
    id: question.id,
    name: textIn(question.asks, i18n.language),
    about: t('rate.set', { set }),
  }))
  const ask = (ids: readonly string[]) => {
    const chosen = open.map(({ question }) => question).filter(({ id }) => ids.includes(id))
    onAsked(editor.acts.ask(chosen))
    onClose()
  }
  return (
    <TickDialog
      title={t('rate.title')}
      verb={(count) => t('rate.add', { count })}
      onClose={onClose}
      onChoose={ask}
    >
      {(list) => (
        <Fetched query={known}>
          {() => (sets ? list(choices, t(all.length === 0 ? 'rate.none' : 'rate.all')) : null)}
        </Fetched>
      )}
    </TickDialog>
  )
}
