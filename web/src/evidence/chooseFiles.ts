// Opens the device's own file chooser, or on a phone its camera.

interface ChooserOptions {
  readonly several?: boolean
  readonly camera?: boolean
}

/** The chosen files; none when the chooser was closed without. */
export function chooseFiles({ several = false, camera = false }: ChooserOptions = {}): Promise<File[]> {
  const input = document.createElement('input')
  input.type = 'file'
  input.multiple = several
  input.hidden = true
  if (camera) {
    input.accept = 'image/*'
    input.setAttribute('capture', 'environment')
  }
  // Some browsers forget a chooser that is not in the page.
  document.body.append(input)
  return new Promise((resolve) => {
    const done = () => {
      input.remove()
      resolve([...(input.files ?? [])])
    }
    input.addEventListener('change', done)
    input.addEventListener('cancel', done)
    input.click()
  })
}
