// For tests and measurements: databases, a site without a socket, a small school.
export { describeEachDatabase, openTestSqlite, TEST_START } from './databases.ts'
export { makeTestSite, TEST_PASSWORD, testConfig } from './site.ts'
export type { TestBrowser, TestSite } from './site.ts'
export { makeSmallSchool } from './smallSchool.ts'
export type { SmallSchool } from './smallSchool.ts'
