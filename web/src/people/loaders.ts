// What is fetched when it is first opened.

export const loadChoosePasswordScreen = async () =>
  (await import('./ChoosePasswordScreen.tsx')).ChoosePasswordScreen

export const loadNewPersonScreen = async () => (await import('./NewPersonScreen.tsx')).NewPersonScreen

export const loadPeopleScreen = async () => (await import('./PeopleScreen.tsx')).PeopleScreen

export const loadPersonScreen = async () => (await import('./PersonScreen.tsx')).PersonScreen

export const loadSettingsScreen = async () => (await import('./SettingsScreen.tsx')).SettingsScreen

export const loadSignInScreen = async () => (await import('./SignInScreen.tsx')).SignInScreen
