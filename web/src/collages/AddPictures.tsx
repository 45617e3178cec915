// Choosing pictures for the board, many at once: from evidence and Tray, from this device, from the camera.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { IconCamera, IconDeviceMobile, IconFile } from '@tabler/icons-react'
import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { everything } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { MOST_PICTURES_AT_ONCE } from '@valise/core/pictures'
import type { Pictured } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { addFiles, chooseFiles } from '../evidence/upload/index.ts'
import { chooserStyles as chooser, PickGrid } from '../evidence/list/index.ts'
import { evidenceQueries, trayQueries, useEvidenceWords } from '../evidence/base/index.ts'
import { gather } from '../gather/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useLater } from '../ui/useLater.ts'
import { toPictured } from './toPictured.ts'
import styles from './Collage.module.css'

interface AddPicturesProps {
  /** One picture, which is taken as soon as it is pressed. */
  readonly isSingle?: boolean
  readonly onChoose: (pictures: readonly Pictured[]) => void
  readonly onClose: () => void
}

export function AddPictures({ isSingle = false, onChoose, onClose }: AddPicturesProps) {
  const { t } = useTranslation(['collage', 'pages', 'app'])
  const words = useEvidenceWords()
  const client = useQueryClient()
  const [wanted, setWanted] = useState('')
  const later = useLater(wanted.trim())
  const list = useInfiniteQuery(evidenceQueries.found({ ...everything, kinds: ['picture'], words: later }))
  const { data: tray = [] } = useQuery(trayQueries.all())
  const [ticked, setTicked] = useState<readonly EvidenceRow[]>([])
  const found = list.data?.pages.flatMap((page) => page.items) ?? []
  const carried = later === '' ? tray.filter((item) => item.kind === 'picture') : []
  const items = [...carried, ...found.filter(({ id }) => !carried.some((one) => one.id === id))]
  const take = (rows: readonly EvidenceRow[]) => {
    onChoose(rows.flatMap(toPictured))
    onClose()
  }
  const press = (item: EvidenceRow) => {
    if (isSingle) return take([item])
    const isIn = ticked.some(({ id }) => id === item.id)
    if (isIn) setTicked(ticked.filter(({ id }) => id !== item.id))
    else if (ticked.length < MOST_PICTURES_AT_ONCE) setTicked([...ticked, item])
  }
  // What comes from outside is laid down as it arrives, so the dialog need not stay.
  const onSaved = (id: string) =>
    void client.fetchQuery(evidenceQueries.one(id)).then((item) => onChoose(toPictured(item)))
  const fromDevice = async () => {
    const files = await chooseFiles({ several: !isSingle, accept: 'image/*' })
    if (files.length === 0) return
    void addFiles(files, { onSaved })
    onClose()
  }
  const addFrom = (source: 'photo' | 'phone') => {
    gather(source, { onSaved })
    onClose()
  }
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
