// An address that was pasted somewhere, for the dialog that asks for one.
import { createStore } from '../ui/createStore.ts'

export const pastedAddress = createStore('')
