// A question that is answered by evidence.
import { IconPhotoPlus } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { EvidenceAnswer } from './EvidenceAnswer.tsx'
import { EvidenceSettings } from './EvidenceSettings.tsx'

export const evidenceUi: FieldUi<'evidence'> = {
  icon: IconPhotoPlus,
  Answer: EvidenceAnswer,
  Settings: EvidenceSettings,
}
