// How long something plays, as people say it: 1:42, 1:02:09.
export function toPlayTime(milliseconds: number): string {
  const seconds = Math.round(milliseconds / 1000)
  const two = (value: number) => String(value).padStart(2, '0')
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60]
  return hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`
}
