// Collages: boards of pictures, drawing and words.
export { loadCollageScreen } from './loaders.ts'
