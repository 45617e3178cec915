// Add a piece: say what you want, or take one of those used last.
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { pieceKinds } from '@valise/core/pages'
import type { PieceKind } from '@valise/core/pages'
import { memo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { useListWords } from '../ui/useListWords.ts'
import { uiOf } from './pieces/uiByKind.ts'
import { usePageActs } from './usePageEditor.ts'
import styles from './AddPiece.module.css'

const offered = pieceKinds.filter((kind) => uiOf({ kind }).add !== null)

/**
 * Independent of everything that typing changes, so typing does not render it.
 *
 * @param onAdded called once something is on the page
 */
export const AddPiece = memo(function AddPiece({ onAdded }: { readonly onAdded?: () => void }) {
  const { t } = useTranslation('pages')
  const list = useListWords()
  const { add } = usePageActs()
  const [choosing, setChoosing] = useState<PieceKind | null>(null)
  const [typed, setTyped] = useState('')

  const want = (kind: PieceKind) => {
    setTyped('')
    const adds = uiOf({ kind }).add
    if (!adds) return
    if ('Chooser' in adds) return setChoosing(kind)
    add([adds.start(crypto.randomUUID())])
    onAdded?.()
  }
  const Chooser = choosing === null ? null : chooserOf(choosing)
  return (
    <section>
      <h2 className={styles.title}>{t('add.title')}</h2>
      <StitchedBox className={styles.slot ?? ''}>
        <Autocomplete<PieceKind, false, true, false>
          options={offered}
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
          noOptionsText={t('add.none', {
            kinds: list.any(offered.map((kind) => t(`kinds.${kind}`).toLowerCase())),
          })}
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
        {offered.map((kind) => {
          const KindIcon = uiOf({ kind }).icon
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
      {Chooser ? <Chooser onAdded={() => onAdded?.()} onClose={() => setChoosing(null)} /> : null}
    </section>
  )
})

function chooserOf(kind: PieceKind) {
  const { add } = uiOf({ kind })
  return add && 'Chooser' in add ? add.Chooser : null
}
