// What is fetched when it is first opened.

export const loadAssignmentScreen = async () => (await import('./AssignmentScreen.tsx')).AssignmentScreen

export const loadAssignmentsScreen = async () => (await import('./AssignmentsScreen.tsx')).AssignmentsScreen

export const loadNewAssignmentScreen = async () =>
  (await import('./NewAssignmentScreen.tsx')).NewAssignmentScreen
