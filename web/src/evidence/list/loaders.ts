// What is fetched when it is first opened.

export const loadEvidenceScreen = async () => (await import('./EvidenceScreen.tsx')).EvidenceScreen

export const loadEvidenceChooser = async () => (await import('./EvidenceChooser.tsx')).EvidenceChooser
