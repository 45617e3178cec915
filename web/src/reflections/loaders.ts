// What is fetched when it is first opened.

export const loadEntryScreen = async () => (await import('./EntryScreen.tsx')).EntryScreen

export const loadNewEntryScreen = async () => (await import('./NewEntryScreen.tsx')).NewEntryScreen

export const loadLogbookScreen = async () => (await import('./LogbookScreen.tsx')).LogbookScreen

export const loadLogbooksScreen = async () => (await import('./LogbooksScreen.tsx')).LogbooksScreen

export const loadEntryChooser = async () => (await import('./EntryChooser.tsx')).EntryChooser
