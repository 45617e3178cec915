// The bin: putting in, taking out, and what removing would take along.
export { InBin } from './InBin.tsx'
export { PutInBin } from './PutInBin.tsx'
export { useBin, useBinMany } from './queries.ts'
export { loadBinScreen } from './loaders.ts'
