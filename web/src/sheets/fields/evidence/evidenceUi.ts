// A question that is answered by evidence.
import { IconPhotoPlus } from '@tabler/icons-react'
import type { FieldUi } from '../FieldUi.ts'
import { BesideAnswer } from '../BesideAnswer.tsx'
import { EvidenceSettings } from './EvidenceSettings.tsx'

export const evidenceUi: FieldUi<'evidence'> = {
  icon: IconPhotoPlus,
  Answer: BesideAnswer,
  Settings: EvidenceSettings,
}
