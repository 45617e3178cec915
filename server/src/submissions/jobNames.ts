// The names of the background work on submissions.
export const SEAL = 'seal-submission'
