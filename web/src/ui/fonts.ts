// The fonts of the interface; they ship with it. Themes of pages bring their own, where they are used.
import './fonts/fonts.css'
