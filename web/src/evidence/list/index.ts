// Evidence as a list: searching, selecting, choosing, dropping.
export { DropSlot } from './DropSlot.tsx'
export { EvidenceChooser } from './EvidenceChooser.tsx'
export { PickGrid } from './PickGrid.tsx'
export { WindowDrop } from './WindowDrop.tsx'
export { default as chooserStyles } from './EvidenceChooser.module.css'
export { loadEvidenceChooser, loadEvidenceScreen } from './loaders.ts'
