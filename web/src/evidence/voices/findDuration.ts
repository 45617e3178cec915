// A recording of a browser does not say how long it is. Going to its far end makes the player find out.

/** Makes a media player determine its duration and go back to the start. Returns a function that cancels it. */
export function findDuration(player: HTMLMediaElement): () => void {
  const onMetadata = () => {
    if (player.duration !== Infinity) return
    player.addEventListener('durationchange', onFound)
    player.currentTime = 1e7
  }
  const onFound = () => {
    if (player.duration === Infinity) return
    player.removeEventListener('durationchange', onFound)
    player.currentTime = 0
  }
  player.addEventListener('loadedmetadata', onMetadata)
  return () => {
    player.removeEventListener('loadedmetadata', onMetadata)
    player.removeEventListener('durationchange', onFound)
  }
}
