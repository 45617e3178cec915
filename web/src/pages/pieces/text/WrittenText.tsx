// A text while it is being written on the page.
import type { PieceOf } from '@valise/core/pages'
import { lazy } from 'react'
import { useTranslation } from 'react-i18next'
import { loadTextEditor } from '../../../text/index.ts'
import { usePageActs } from '../../usePageEditor.ts'
import type { EditorProps } from '../PieceUi.ts'

/** The editor is fetched when somebody begins to write. */
const TextEditor = lazy(async () => ({
  default: await loadTextEditor(),
}))

export function WrittenText({ piece, row, fromElsewhere, tools }: EditorProps<PieceOf<'text'>>) {
  const { t } = useTranslation('pages')
  const { setPiece, registerFlush } = usePageActs()
  return (
    <div {...(piece.lang && { lang: piece.lang })}>
      <TextEditor
        text={piece.text}
        fromElsewhere={fromElsewhere}
        label={t('textOf', { row })}
        placeholder={t('textHint')}
        registerFlush={registerFlush}
        place={`/pieces/${piece.id}`}
        tools={tools}
        onText={(text) => setPiece({ ...piece, text })}
      />
    </div>
  )
}
