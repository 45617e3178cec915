// Collages: boards of one's own pictures, kept as editable data and painted in the background.
export { collageRoutes } from './routes.ts'
export { collageJobs } from './renderCollage.ts'
export { createCollage, getCollage, updateCollage } from './service.ts'
