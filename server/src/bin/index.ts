// The bin: one for everything that a person owns.
export { binRoutes } from './routes.ts'
export { putIntoBin } from './service.ts'
export { binJobs, planBinSweep, sweepBin } from './sweep.ts'
export type { BinServices } from './services.ts'
