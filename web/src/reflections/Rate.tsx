// Rating oneself in an entry: which attributes? Each becomes a question of the entry.
import Button from '@mui/material/Button'
import { IconSeedling } from '@tabler/icons-react'
import { ratingQuestion } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useUsableSets } from '../attributes/index.ts'
import { TickDialog } from '../ui/TickDialog.tsx'
import type { useEntryEditor } from './useEntryEditor.ts'

interface RateProps {
  readonly editor: Pick<ReturnType<typeof useEntryEditor>, 'acts' | 'answers'>
}

export function Rate({ editor }: RateProps) {
  const { t } = useTranslation('reflections')
  const [isChoosing, setIsChoosing] = useState(false)
  return (
    <div data-print="off">
      <Button
        variant="text"
        startIcon={<IconSeedling size={18} stroke={1.7} />}
        onClick={() => setIsChoosing(true)}
      >
        {t('rate.button')}
      </Button>
      {isChoosing ? <ChooseAttributes editor={editor} onClose={() => setIsChoosing(false)} /> : null}
    </div>
  )
}

function ChooseAttributes({ editor, onClose }: RateProps & { readonly onClose: () => void }) {
  const { t, i18n } = useTranslation('reflections')
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
  return (
    <TickDialog
      title={t('rate.title')}
      verb={(count) => t('rate.add', { count })}
      onClose={onClose}
      onChoose={(ids) => {
        editor.acts.ask(open.map(({ question }) => question).filter(({ id }) => ids.includes(id)))
        onClose()
      }}
    >
      {(list) => (sets ? list(choices, t(all.length === 0 ? 'rate.none' : 'rate.all')) : null)}
    </TickDialog>
  )
}
