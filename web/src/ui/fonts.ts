// The fonts of the interface; they ship with it. Themes of pages bring their own, where they are used.
import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource-variable/fraunces/full-italic.css'
import '@fontsource-variable/fraunces/full.css'
