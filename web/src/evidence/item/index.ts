// One item: the drawer and its fields.
export { AlikeDialog } from './AlikeDialog.tsx'
export { EvidenceUses } from './EvidenceUses.tsx'
export { EvidenceDrawer } from './EvidenceDrawer.tsx'
export { RightsField } from './RightsField.tsx'
export { RightsForm } from './RightsForm.tsx'
export { TitleField } from './TitleField.tsx'
export { WordsForOthers } from './WordsForOthers.tsx'
export { useOfferBack } from './useOfferBack.ts'
