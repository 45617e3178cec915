// The present picture of a camera as a JPEG, as it is and not as in the mirror.
const QUALITY = 0.92

export async function takePicture(film: HTMLVideoElement, name: string): Promise<File> {
  // A camera that was just opened has shown nothing yet.
  // Its size is known before there is anything to see: the picture would be black.
  if (film.readyState < HTMLMediaElement.HAVE_CURRENT_DATA)
    await new Promise((resolve) => film.addEventListener('loadeddata', resolve, { once: true }))
  const canvas = document.createElement('canvas')
  canvas.width = film.videoWidth
  canvas.height = film.videoHeight
  canvas.getContext('2d')?.drawImage(film, 0, 0)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY))
  if (!blob) throw new Error('the camera gave no picture')
  return new File([blob], name, { type: 'image/jpeg', lastModified: Date.now() })
}
