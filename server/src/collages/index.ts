// Collages: boards of one's own pictures, stored as editable data and rendered in the background.
export { collageRoutes } from './routes.ts'
export { collageJobs } from './renderCollage.ts'
export { createCollage, getCollage, updateCollage } from './service.ts'
