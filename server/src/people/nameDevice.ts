// A short name for the device of a session, so that its owner can tell it from the others.
import bowser from 'bowser'

/** Returns browser and system such as "Chrome, Linux"; '' where the browser does not say. */
export function nameDevice(userAgent: string): string {
  if (userAgent === '') return ''
  const { browser, os } = bowser.parse(userAgent.slice(0, 400))
  return [browser.name, os.name].filter((value) => value !== undefined && value !== '').join(', ')
}
