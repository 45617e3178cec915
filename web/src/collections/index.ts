// Collections: pages and other collections in an order.
export { loadCollectionScreen, loadCollectionsScreen } from './loaders.ts'
