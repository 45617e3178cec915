// The editor of all texts, and what it holds that cannot be saved as it is.
export { LanguageField, useLanguageChoices } from './LanguageField.tsx'
export type { TextLanguage } from './LanguageField.tsx'
export { TextEditor } from './TextEditor.tsx'
export { hearPictures } from './pasted/hearPictures.ts'
export { loadTextEditor } from './loaders.ts'
