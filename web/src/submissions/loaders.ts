// What is fetched when it is first opened.

export const loadPageAnswers = async () => (await import('./PageAnswers.tsx')).PageAnswers

export const loadReviewDeskScreen = async () => (await import('./ReviewDeskScreen.tsx')).ReviewDeskScreen

export const loadSubmissionScreen = async () => (await import('./SubmissionScreen.tsx')).SubmissionScreen

export const loadSubmissionsScreen = async () => (await import('./SubmissionsScreen.tsx')).SubmissionsScreen
