// The sample world: built from a fixed cast, opened with one click.
export { buildWorld, enlargeWorld, SAMPLE_PASSWORD } from './buildWorld.ts'
export { cast } from './cast.ts'
export { demoRoutes } from './demoRoutes.ts'
export { markSampleFolder, readSampleState, sampleFiles } from './sampleFolder.ts'
