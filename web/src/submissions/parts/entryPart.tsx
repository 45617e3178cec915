// Entries in the hand-in: as they are now.
import { IconPencil } from '@tabler/icons-react'
import { lazy } from 'react'
import { useTranslation } from 'react-i18next'
import { loadEntryChooser } from '../../reflections/index.ts'
import { needWords } from '../../words/i18n.ts'
import type { ChooserProps, PartUi } from './PartUi.ts'

export const entryPart: PartUi = {
  chosen: {
    add: 'add.entry',
    Chooser: lazy(async () => {
      await needWords('pages')
      const EntryChooser = await loadEntryChooser()
      return {
        default: ({ onChoose, onClose }: ChooserProps) => (
          <EntryChooser onChoose={(id) => onChoose([id])} onClose={onClose} />
        ),
      }
    }),
  },
  Icon: () => <IconPencil size={18} stroke={1.7} aria-hidden="true" />,
  About: AsItIs,
}

function AsItIs() {
  const { t } = useTranslation('submissions')
  return <p>{t('parts.entry')}</p>
}
