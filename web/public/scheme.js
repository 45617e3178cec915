// Sets the colour scheme before the first paint. A file of its own, because the page allows no inline script.
;(function () {
  var mode = 'system'
  try {
    mode = localStorage.getItem('valise-scheme') || 'system'
  } catch {
    // Storage may be closed to us; then the device decides.
    mode = 'system'
  }
  var dark = mode === 'dark' || (mode === 'system' && matchMedia('(prefers-color-scheme: dark)').matches)
  document.documentElement.setAttribute('data-scheme', dark ? 'dark' : 'light')
})()
