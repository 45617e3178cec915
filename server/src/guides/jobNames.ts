// The names of the background work on guides.
export const COLLECT_DUE = 'collect-due-guides'
export const HAND_IN_COPY = 'hand-in-guide-copy'
export const HAND_IN_WHAT_CAME = 'hand-in-what-came-later'
