// The Tray: what was picked up, until it is put somewhere.
export { Tray } from './Tray.tsx'
export { draggedItem } from './draggedItem.ts'
export { TRAY_DRAG, useTrayPlace } from './trayPlace.ts'
export { useTray } from './useTray.ts'
export type { TrayContent } from './useTray.ts'
