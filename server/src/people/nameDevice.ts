// A short name for the device of a session, so that its owner can tell it from the others.
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)

/** Browser and system such as "Chrome, Linux"; empty where the browser does not say. */
export function nameDevice(userAgent: string): string {
  if (userAgent === '') return ''
  const { default: bowser } = require('bowser') as { default: typeof import('bowser') }
  const { browser, os } = bowser.parse(userAgent.slice(0, 400))
  return [browser.name, os.name].filter((part) => part !== undefined && part !== '').join(', ')
}
