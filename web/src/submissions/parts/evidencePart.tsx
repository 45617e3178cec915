// Evidence in the hand-in: an item alone, as it is now.
import { IconPhoto } from '@tabler/icons-react'
import { evidenceKinds } from '@valise/core/evidence'
import { lazy } from 'react'
import { useTranslation } from 'react-i18next'
import { loadEvidenceChooser } from '../../evidence/list/index.ts'
import { needWords } from '../../words/i18n.ts'
import type { ChooserProps, PartUi } from './PartUi.ts'

export const evidencePart: PartUi = {
  chosen: {
    add: 'add.evidence',
    Chooser: lazy(async () => {
      await needWords('pages')
      await needWords('evidence')
      const EvidenceChooser = await loadEvidenceChooser()
      return {
        default: ({ assignmentId, onChoose, onClose }: ChooserProps) => (
          <EvidenceChooser
            kinds={evidenceKinds}
            assignmentId={assignmentId}
            onChoose={({ id }) => onChoose([id])}
            onClose={onClose}
          />
        ),
      }
    }),
  },
  Icon: () => <IconPhoto size={18} stroke={1.7} aria-hidden="true" />,
  About: AsItIs,
}

function AsItIs() {
  const { t } = useTranslation('submissions')
  return <p>{t('parts.evidence')}</p>
}
