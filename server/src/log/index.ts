// The log: what was asked, how it went, and what failed.
export { openLog } from './requestLog.ts'
export type { LogLevel, RequestLog } from './requestLog.ts'
