// The kinds of background work on evidence.
export const EXAMINE_VERSION = 'examine-version'
export const RENDER_VERSION = 'render-version'
export const RENDER_RECIPE = 'render-recipe'
export const RENDER_COLLAGE = 'render-collage'
export const READ_VERSION = 'read-version'
export const INDEX_EVIDENCE = 'index-evidence'
export const SWEEP = 'sweep'
