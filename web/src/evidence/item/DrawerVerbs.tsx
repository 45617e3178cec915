// What can be done with an item as a whole.
import Button from '@mui/material/Button'
import {
  IconChevronUp,
  IconLayoutCollage,
  IconPencil,
  IconPerspective,
  IconReplace,
  IconTrash,
} from '@tabler/icons-react'
import { binEndsAt } from '@valise/core/bin'
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useBin } from '../../bin/index.ts'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { chooseFiles, addFiles } from '../upload/index.ts'
import { useTray } from '../tray/index.ts'
import styles from './Fields.module.css'

interface DrawerVerbsProps {
  readonly item: Evidence
  readonly onClose: () => void
  readonly onBinned: (item: Evidence) => void
}

export function DrawerVerbs({ item, onClose, onBinned }: DrawerVerbsProps) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const tray = useTray()
  const isIn = tray.holds(item)
  const bin = useBin()
  const onReplace = async () => {
    const files = await chooseFiles()
    if (files.length > 0) void addFiles(files, { replaces: item.id })
  }
  if (item.binnedAt !== null) {
    return (
      <div className={styles.verbs}>
        <p>{t('bin.until', { date: when.date(binEndsAt(item.binnedAt)) })}</p>
        <Button size="small" loading={bin.isPending} onClick={() => bin.mutate({ id: item.id, act: 'out' })}>
          {t('bin.takeOut')}
        </Button>
      </div>
    )
  }
  // Notes are written on, collages arranged, links looked up, and what is connected gets its versions from the drive.
  const hasFileOfOwn = !['link', 'note', 'collage'].includes(item.kind) && item.drive === null
  return (
    <>
      <div className={styles.verbs}>
        <Button
          size="small"
          startIcon={<OwnIcon name={isIn ? 'pickf' : 'pick'} />}
          onClick={() => tray.toggle(item)}
        >
          {isIn ? t('tray.out') : t('tray.in')}
        </Button>
        <Button
          size="small"
          component={RouterLink}
          to={`/entries/new?about=${item.id}`}
          startIcon={<IconPencil size={18} stroke={1.7} />}
        >
          {t('write')}
        </Button>
        {item.kind === 'picture' && item.version.preview !== 'none' ? (
          <Button
            size="small"
            component={RouterLink}
            to={`/evidence/${item.id}/bench`}
            startIcon={<IconPerspective size={18} stroke={1.7} />}
          >
            {t('putRight')}
          </Button>
        ) : null}
        {item.kind === 'collage' ? (
          <Button
            size="small"
            component={RouterLink}
            to={`/evidence/${item.id}/collage`}
            startIcon={<IconLayoutCollage size={18} stroke={1.7} />}
          >
            {t('arrange')}
          </Button>
        ) : null}
        {hasFileOfOwn ? (
          <Button
            size="small"
            startIcon={<IconReplace size={18} stroke={1.7} />}
            onClick={() => void onReplace()}
          >
            {t('versions.replace')}
          </Button>
        ) : null}
        <Button
          size="small"
          startIcon={<IconTrash size={18} stroke={1.7} />}
          loading={bin.isPending}
          onClick={() => bin.mutate({ id: item.id, act: 'in' }, { onSuccess: () => onBinned(item) })}
        >
          {t('bin.putIn')}
        </Button>
        <Button
          size="small"
          variant="text"
          startIcon={<IconChevronUp size={18} stroke={1.7} />}
          onClick={onClose}
        >
          {t('drawer.close')}
        </Button>
      </div>
      <Refusal error={bin.error} />
    </>
  )
}
