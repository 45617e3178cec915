// A moment of a film as its picture: the browser can open what the server does not.
import { sendBody, tellChanged } from '../../api/index.ts'
import { queryClient } from '../../saving/index.ts'

const WIDTH = 960
const GIVE_UP_MS = 15_000

/** Takes a poster frame from a video and saves it with its item. A video that this browser cannot open gets none. */
export async function savePoster(evidenceId: string, film: Blob): Promise<void> {
  try {
    const picture = await takeMoment(film)
    await sendBody(`/api/evidence/${evidenceId}/poster`, picture)
    await tellChanged(queryClient, ['evidence'])
  } catch {
    // The video itself is saved; its card stands where a picture would.
    return
  }
}

async function takeMoment(film: Blob): Promise<Blob> {
  const address = URL.createObjectURL(film)
  const player = document.createElement('video')
  player.muted = true
  player.preload = 'auto'
  try {
    await until(player, 'loadeddata', () => (player.src = address))
    // The first picture is often black.
    const moment = Number.isFinite(player.duration) ? Math.min(1, player.duration / 3) : 0
    if (moment > 0) await until(player, 'seeked', () => (player.currentTime = moment))
    const canvas = document.createElement('canvas')
    canvas.width = Math.min(WIDTH, player.videoWidth)
    canvas.height = Math.round((canvas.width / player.videoWidth) * player.videoHeight)
    canvas.getContext('2d')?.drawImage(player, 0, 0, canvas.width, canvas.height)
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.86))
    if (!picture) throw new Error('the film gave no picture')
    return picture
  } finally {
    player.removeAttribute('src')
    URL.revokeObjectURL(address)
  }
}

function until(player: HTMLVideoElement, event: string, begin: () => void): Promise<void> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`no ${event}`)), GIVE_UP_MS)
    player.addEventListener(event, () => (clearTimeout(timer), resolve()), { once: true })
    player.addEventListener('error', () => (clearTimeout(timer), reject(new Error('not played'))), {
      once: true,
    })
    begin()
  })
}
