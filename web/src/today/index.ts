// Today: the next steps.
export { TodayScreen } from './TodayScreen.tsx'
