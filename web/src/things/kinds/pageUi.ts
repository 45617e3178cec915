// Pages among other things.
import { IconFileText } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const pageUi: ThingUi = {
  icon: IconFileText,
  words: {
    en: {
      name: 'Page',
      untitled: 'Untitled page',
      put: 'Put page in bin',
      isInBin: 'This page is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'Everything written in it is removed now, and nobody can bring it back. Your evidence stays.',
    },
    es: {
      name: 'Página',
      untitled: 'Página sin título',
      put: 'Mover página a la papelera',
      isInBin: 'Esta página está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'Todo lo escrito se elimina ahora y nadie podrá recuperarlo. Tus evidencias se quedan.',
    },
  },
}
