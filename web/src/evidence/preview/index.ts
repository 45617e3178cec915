// What an item shows of its content, by its kind.
export { Preview } from './Preview.tsx'
