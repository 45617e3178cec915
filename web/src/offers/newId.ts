// The id of a new question or option: as short as may be, since every answer holds it.
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(-12)
}
