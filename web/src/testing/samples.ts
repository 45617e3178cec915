// Made-up answers of the server that tests of screens begin with; each test changes what it is about.
import type { Assignment, CheckedOf, RequirementOf } from '@valise/core/assignments'
import type { Feedback } from '@valise/core/feedback'
import type { HandIn, ListedPart, Submission, SubmissionRow } from '@valise/core/submissions'

/** A Thursday morning in Lisbon, where local time is UTC. */
export const NOW = '2026-11-26T10:42:00.000Z'

export const pageWanted: RequirementOf<'page'> = {
  id: 'page',
  kind: 'page',
  weight: 'must',
  pieces: [
    { sort: 'picture', atLeast: 1 },
    { sort: 'data-table', atLeast: 2 },
  ],
}
export const wordsWanted: RequirementOf<'statement'> = {
  id: 'words',
  kind: 'statement',
  weight: 'should',
  words: 60,
  questions: [],
}
export const rightsWanted: RequirementOf<'rights'> = { id: 'rights', kind: 'rights', weight: 'must' }

export const pageLacks: CheckedOf<'page'> = {
  requirement: pageWanted,
  result: {
    isThere: false,
    page: 'The creek',
    pieces: [
      { sort: 'picture', atLeast: 1, there: 1 },
      { sort: 'data-table', atLeast: 2, there: 0 },
    ],
  },
}
export const fewWords: CheckedOf<'statement'> = {
  requirement: wordsWanted,
  result: { isThere: false, words: 12, item: { id: 'map', title: 'Transect map' } },
}
export const rightsThere: CheckedOf<'rights'> = {
  requirement: rightsWanted,
  result: { isThere: true, items: 3, undeclared: [] },
}

export const scale = ['Not yet', 'With help', 'On my own', 'Leading others'].map((name, n) => ({
  id: `level-${n + 1}`,
  name: { en: name, es: `Nivel ${n + 1}` },
}))

export const assignment: Assignment = {
  id: 'transect',
  classId: 'methods',
  className: 'Shore Methods',
  classCode: 'FLD-204',
  title: { en: 'Transect portfolio', es: 'Portafolio del transecto' },
  brief: null,
  requirements: [pageWanted, wordsWanted, rightsWanted],
  scale,
  terms: [{ en: 'This is my own work.', es: 'Es mi propio trabajo.' }],
  dueLocal: '2026-11-27T17:00',
  dueAt: '2026-11-27T17:00:00.000Z',
  allowsGaps: true,
  guideId: null,
  setAt: NOW,
  endedAt: null,
  revision: 1,
}

export const submissionRow: SubmissionRow = {
  id: 's1',
  assignmentId: 'transect',
  title: assignment.title,
  className: 'Shore Methods',
  classCode: 'FLD-204',
  ownerName: 'Tomasz Ilves-Barr',
  n: 1,
  state: 'with-assessor',
  number: 'MB-0412',
  requestedAt: '2026-11-20T16:42:00.000Z',
  lateMinutes: 0,
  byItself: false,
  cameAt: null,
  gaps: 0,
  parts: 2,
  sealedAt: '2026-11-20T16:42:01.000Z',
  openedAt: null,
  decidedAt: null,
  level: null,
}

export const submission: Submission = {
  ...submissionRow,
  isMine: true,
  dueAt: assignment.dueAt,
  partList: [
    { n: 1, kind: 'page', thingId: 'creek', title: 'The creek', copy: 'published' },
    { n: 2, kind: 'evidence', thingId: 'map', title: 'Transect map', copy: 'present' },
  ],
  readiness: [pageLacks, fewWords, rightsThere],
  scale,
  files: 3,
  bytes: 49_152,
  manifestSha256: 'ab12cd34ef56ab12cd34ef56',
  assessors: ['Odalys Fenn', 'Rufus Brandt-Osei'],
  openedByName: null,
  decidedByName: null,
  previousId: null,
  mayTakeBack: true,
  mayUndo: false,
  revision: 3,
}

export const listedPage: ListedPart = {
  kind: 'page',
  id: 'creek',
  isIn: true,
  copy: 'published',
  title: 'The creek',
  goesIn: true,
  pieces: 8,
  publishedAt: '2026-11-21T12:00:00.000Z',
  changes: 0,
  draftRevision: 7,
  isBinned: false,
}

export const handIn: HandIn = {
  assignment,
  parts: [listedPage],
  revision: 2,
  readiness: [pageLacks, fewWords, rightsThere],
  items: [{ id: 'map', title: 'Transect map' }],
  totals: { parts: 1, pieces: 8, files: 3, bytes: 49_152 },
  assessors: ['Odalys Fenn', 'Rufus Brandt-Osei'],
  latest: null,
  decision: { allowed: true, reason: null, params: {} },
}

export const feedback: Feedback = {
  id: 'f1',
  part: 1,
  isOpen: false,
  isRequest: false,
  text: 'Say how you chose the places.',
  at: '2026-11-24T10:42:00.000Z',
  authorName: 'Odalys Fenn',
  isMine: false,
}
