// Made-up evidence that tests of screens begin with; each test changes what it is about.
import type { Evidence, EvidenceCounts, EvidenceRow, EvidenceVersion } from '@valise/core/evidence'
import { NOW } from './samples.ts'

export const version: EvidenceVersion = {
  ...{ n: 1, fileName: 'stake-2.jpg', mime: 'image/jpeg', bytes: 2048, width: 800, height: 600, place: null },
  ...{ durationMs: null, pages: null, encoding: null, textState: 'none' },
  ...{ preview: 'there', previewProblem: null, renderRevision: 0, at: NOW },
}

export const picture: Evidence = {
  ...{ id: 'stake', kind: 'picture', title: 'Stake 2, visit 1', rightsState: 'mine', alternativeText: '' },
  ...{ madeAt: NOW, version, inTray: false, binnedAt: null, madeAtKnown: true, statement: '', tags: [] },
  ...{ rights: { state: 'mine' }, transcript: '', classId: null, className: null, assignment: null },
  ...{
    link: null,
    drive: null,
    alike: 0,
    createdAt: NOW,
    caption: '',
    parts: [],
    voices: [],
    versions: [version],
    revision: 1,
  },
}

export function rowOf(change: Partial<EvidenceRow>): EvidenceRow {
  const { id, kind, title, rightsState, alternativeText, madeAt, inTray, binnedAt } = picture
  return { id, kind, title, rightsState, alternativeText, madeAt, version, inTray, binnedAt, ...change }
}

export const counts: EvidenceCounts = {
  all: 60,
  matching: 12,
  kinds: [
    { kind: 'picture', count: 9 },
    { kind: 'audio', count: 3 },
  ],
  marks: { unused: 7, 'no-rights': 2, 'no-alternative': 5, shared: 4, alike: 0 },
  weeks: [
    { week: '2026-11-09', count: 2 },
    { week: '2026-11-16', count: 0 },
    { week: '2026-11-23', count: 10 },
  ],
}
