// Entries among other things.
import { IconPencil } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const entryUi: ThingUi = {
  icon: IconPencil,
  words: {
    en: {
      name: 'Entry',
      untitled: 'Untitled entry',
      put: 'Put entry in bin',
      isInBin: 'This entry is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'Everything written in it is removed now, and nobody can bring it back. Your evidence stays.',
    },
    es: {
      name: 'Entrada',
      untitled: 'Entrada sin título',
      put: 'Mover entrada a la papelera',
      isInBin: 'Esta entrada está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'Todo lo escrito se elimina ahora y nadie podrá recuperarlo. Tus evidencias se quedan.',
    },
  },
}
