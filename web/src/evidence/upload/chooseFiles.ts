// Opens the device's own file chooser, or on a phone its camera.

interface ChooserOptions {
  readonly several?: boolean
  readonly camera?: boolean
  /** A film instead of a photo. */
  readonly film?: boolean
  /** A whole folder with all that lies in it. */
  readonly folder?: boolean
  readonly accept?: string
}

/**
 * Returns whether files of a camera chooser were taken in it rather than picked: they are newer than its opening.
 *
 * @param openedAt when the chooser was opened, in milliseconds since 1970
 */
export function areJustTaken(files: readonly File[], openedAt: number): boolean {
  // Some devices tell times of files in whole seconds.
  return files.length > 0 && files.every(({ lastModified }) => lastModified >= openedAt - 1000)
}

/** Returns the chosen files; none when the chooser was cancelled. */
export function chooseFiles(options: ChooserOptions = {}): Promise<File[]> {
  const { several = false, camera = false, film = false, folder = false, accept } = options
  const input = document.createElement('input')
  input.type = 'file'
  input.multiple = several
  input.hidden = true
  if (accept !== undefined) input.accept = accept
  if (camera) {
    input.accept = film ? 'video/*' : 'image/*'
    input.setAttribute('capture', 'environment')
  }
  if (folder) input.webkitdirectory = true
  // Some browsers forget a chooser that is not in the page.
  document.body.append(input)
  return new Promise((resolve) => {
    const done = () => {
      input.remove()
      resolve([...(input.files ?? [])].filter(({ name }) => !name.startsWith('.')))
    }
    input.addEventListener('change', done)
    input.addEventListener('cancel', done)
    input.click()
  })
}
