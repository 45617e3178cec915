// Choosing pictures for the board, many at once: from evidence and Tray, from this device, from the camera.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { IconCamera, IconDeviceMobile, IconFile } from '@tabler/icons-react'
import type { Pictured } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { chooserStyles as chooser, PickGrid } from '../evidence/list/index.ts'
import { useEvidenceWords } from '../evidence/base/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useAddPictures } from './useAddPictures.ts'
import styles from './Collage.module.css'

export interface AddPicturesProps {
  /** One picture, which is taken as soon as it is pressed. */
  readonly isSingle?: boolean
  readonly onChoose: (pictures: readonly Pictured[]) => void
  readonly onClose: () => void
}

export function AddPictures({ isSingle = false, onChoose, onClose }: AddPicturesProps) {
  const { t } = useTranslation(['collage', 'pages', 'app'])
  const words = useEvidenceWords()
  const { wanted, setWanted, later, list, items, ticked, take, press, fromDevice, addFrom } = useAddPictures({
    isSingle,
    onChoose,
    onClose,
  })
  return (
    <Dialog open onClose={onClose} aria-labelledby="add-pictures" maxWidth="md" fullWidth>
      <DialogTitle id="add-pictures" variant="h2">
        {t(isSingle ? 'add.ground' : 'add.title')}
      </DialogTitle>
      <DialogContent>
        <div className={`${chooser.head} ${styles.sources}`}>
          <TextField
            type="search"
            size="small"
            label={t('pages:chooser.words')}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Button startIcon={<IconFile size={18} stroke={1.7} />} onClick={() => void fromDevice()}>
            {t('add.files')}
          </Button>
          <Button startIcon={<IconCamera size={18} stroke={1.7} />} onClick={() => addFrom('photo')}>
            {t('add.camera')}
          </Button>
          <Button startIcon={<IconDeviceMobile size={18} stroke={1.7} />} onClick={() => addFrom('phone')}>
            {t('add.phone')}
          </Button>
        </div>
        <Fetched query={list}>
          {() =>
            items.length === 0 ? (
              <p>{t(later === '' ? 'add.empty' : 'pages:chooser.nothing')}</p>
            ) : (
              <PickGrid
                items={items}
                {...(!isSingle && { ticked })}
                lineOf={(item) => (item.inTray ? t('add.inTray') : words.line(item))}
                onPress={press}
              />
            )
          }
        </Fetched>
        <MoreButton query={list} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
        {isSingle ? null : (
          <Button
            variant="contained"
            color="primary"
            disabled={ticked.length === 0}
            onClick={() => take(ticked)}
          >
            {t('add.lay', { count: ticked.length })}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  )
}
