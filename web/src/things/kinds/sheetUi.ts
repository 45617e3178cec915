// Question sheets among other things.
import { IconListDetails } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const sheetUi: ThingUi = {
  icon: IconListDetails,
  words: {
    en: {
      name: 'Question sheet',
      untitled: 'Untitled question sheet',
      put: 'Put sheet in bin',
      isInBin: 'This question sheet is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'Its questions are removed now. Whatever was written along them stays.',
    },
    es: {
      name: 'Hoja de preguntas',
      untitled: 'Hoja de preguntas sin título',
      put: 'Mover hoja a la papelera',
      isInBin: 'Esta hoja de preguntas está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'Sus preguntas se eliminan ahora. Lo que se escribió con ellas se queda.',
    },
  },
}
