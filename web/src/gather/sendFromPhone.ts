// Sends what a phone took to the laptop it lends its camera to; without an account, by the key in its cookie.
import { sendBody } from '../api/index.ts'

export function sendFromPhone(file: File, isMine: boolean): Promise<void> {
  const about = new URLSearchParams({ name: file.name, ...(isMine && { mine: 'yes' }) })
  return sendBody(`/api/phone/files?${about}`, file)
}
