// On a phone the panel stands under the whole page, so adding to it is always at hand beside one's thumb.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import { IconPlus } from '@tabler/icons-react'
import { memo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { AddPiece } from './AddPiece.tsx'
import styles from './AddPiece.module.css'

export const AddOnPhone = memo(function AddOnPhone() {
  const { t } = useTranslation(['pages', 'app'])
  const [isOpen, setIsOpen] = useState(false)
  const close = () => setIsOpen(false)
  return (
    <div className={styles.onPhone}>
      <Button
        variant="contained"
        color="primary"
        startIcon={<IconPlus size={18} stroke={1.7} />}
        onClick={() => setIsOpen(true)}
      >
        {t('panel')}
      </Button>
      <Dialog open={isOpen} onClose={close} aria-label={t('panel')} fullWidth>
        <DialogContent>
          <AddPiece onAdded={close} />
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={close}>
            {t('app:actions.cancel')}
          </Button>
        </DialogActions>
      </Dialog>
    </div>
  )
})
