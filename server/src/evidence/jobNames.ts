// The kinds of background work on evidence.
export const RENDER_VERSION = 'render-version'
export const SWEEP = 'sweep'
