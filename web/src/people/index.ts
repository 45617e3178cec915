// People, their memberships, signing in, and settings.
export { DoorFrame } from './DoorFrame.tsx'
export { SignInForm } from './SignInForm.tsx'
export {
  loadChoosePasswordScreen,
  loadNewPersonScreen,
  loadPeopleScreen,
  loadPersonScreen,
  loadSettingsScreen,
  loadSignInScreen,
} from './loaders.ts'
