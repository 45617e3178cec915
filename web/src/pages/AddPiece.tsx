// Add a piece: say what you want, or take one of those used last.
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { IconFile, IconMinus, IconNotebook, IconPhoto, IconTextSize } from '@tabler/icons-react'
import { newEntryPiece, newLinePiece, newTextPiece, pieceKinds } from '@valise/core/pages'
import type { Piece, PieceKind } from '@valise/core/pages'
import { memo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { EntryChooser } from '../reflections/EntryChooser.tsx'
import { EvidenceChooser } from '../evidence/EvidenceChooser.tsx'
import { usePageActs } from './usePageEditor.ts'
import styles from './AddPiece.module.css'

const icons = {
  text: IconTextSize,
  picture: IconPhoto,
  file: IconFile,
  entry: IconNotebook,
  line: IconMinus,
} as const satisfies Record<PieceKind, unknown>

/**
 * Independent of everything that typing changes, so typing does not render it.
 *
 * @param onAdded called once something is on the page
 */
export const AddPiece = memo(function AddPiece({ onAdded }: { readonly onAdded?: () => void }) {
  const { t } = useTranslation('pages')
  const { add, addEvidence } = usePageActs()
  const [choosing, setChoosing] = useState<'picture' | 'file' | 'entry' | null>(null)
  const [typed, setTyped] = useState('')

  const put = (pieces: readonly Piece[]) => {
    add(pieces)
    onAdded?.()
  }
  const want = (kind: PieceKind) => {
    setTyped('')
    if (kind === 'text') put([newTextPiece(crypto.randomUUID())])
    else if (kind === 'line') put([newLinePiece(crypto.randomUUID())])
    else setChoosing(kind)
  }
  return (
    <section>
      <h2 className={styles.title}>{t('add.title')}</h2>
      <StitchedBox className={styles.slot ?? ''}>
        <Autocomplete<PieceKind, false, true, false>
          options={pieceKinds}
          // It is a wish, never a value: once it is granted the field is empty again.
          value={null as unknown as PieceKind}
          inputValue={typed}
          onInputChange={(_event, text, reason) => setTyped(reason === 'input' ? text : '')}
          onChange={(_event, kind) => kind && want(kind)}
          getOptionLabel={(kind) => (kind ? t(`kinds.${kind}`) : '')}
          filterOptions={(all, { inputValue }) => {
            const wish = inputValue.replace(/^\//, '').trim().toLowerCase()
            return all.filter((kind) =>
              `${t(`kinds.${kind}`)} ${t(`kindsAlso.${kind}`)}`.toLowerCase().includes(wish),
            )
          }}
          noOptionsText={t('add.none')}
          disableClearable
          blurOnSelect
          autoHighlight
          popupIcon={null}
          size="small"
          renderInput={(params) => (
            <TextField {...params} placeholder={t('add.placeholder')} label={t('add.label')} />
          )}
        />
      </StitchedBox>
      <ul className={styles.kinds}>
        {pieceKinds.map((kind) => {
          const KindIcon = icons[kind]
          return (
            <li key={kind}>
              <button type="button" onClick={() => want(kind)}>
                <KindIcon size={18} stroke={1.7} aria-hidden="true" />
                {t(`kinds.${kind}`)}
              </button>
            </li>
          )
        })}
      </ul>
      {choosing === 'picture' || choosing === 'file' ? (
        <EvidenceChooser
          kinds={
            choosing === 'picture'
              ? ['picture', 'collage']
              : ['file', 'video', 'audio', 'data-table', 'link', 'note']
          }
          onChoose={(item) => {
            addEvidence([item])
            onAdded?.()
          }}
          onClose={() => setChoosing(null)}
        />
      ) : null}
      {choosing === 'entry' ? (
        <EntryChooser
          onChoose={(entryId) => put([newEntryPiece(crypto.randomUUID(), entryId)])}
          onClose={() => setChoosing(null)}
        />
      ) : null}
    </section>
  )
})
