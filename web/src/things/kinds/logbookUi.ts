// Logbooks among other things.
import { IconBook2 } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const logbookUi: ThingUi = {
  icon: IconBook2,
  words: {
    en: {
      name: 'Logbook',
      untitled: 'Untitled logbook',
      put: 'Put logbook in bin',
      isInBin: 'This logbook is in the bin. Take it out to write in it.',
      takeOut: 'Take it out of the bin',
      removed: 'It holds no entries, so nothing that you wrote is lost.',
    },
    es: {
      name: 'Cuaderno',
      untitled: 'Cuaderno sin título',
      put: 'Mover cuaderno a la papelera',
      isInBin: 'Este cuaderno está en la papelera. Sácalo para escribir en él.',
      takeOut: 'Sacarlo de la papelera',
      removed: 'No tiene entradas, así que no se pierde nada de lo que escribiste.',
    },
  },
}
