// Sends what a phone took to the laptop it lends its camera to; without an account, by the key in its cookie.
import { sendBody } from '../api/index.ts'

export function sendFromPhone(file: File): Promise<void> {
  return sendBody(`/api/phone/files?${new URLSearchParams({ name: file.name })}`, file)
}
