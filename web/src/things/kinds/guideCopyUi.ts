// Copies of guides among other things.
import { IconRoute } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const guideCopyUi: ThingUi = {
  icon: IconRoute,
  words: {
    en: {
      name: 'Guide',
      untitled: 'Untitled guide',
      put: 'Put my copy in bin',
      isInBin: 'Your copy of this guide is in the bin. Take it out to work in it.',
      takeOut: 'Take it out of the bin',
      removed:
        'Everything you wrote in it is removed now, and nobody can bring it back. Your entries and evidence stay.',
    },
    es: {
      name: 'Guía',
      untitled: 'Guía sin título',
      put: 'Mover mi copia a la papelera',
      isInBin: 'Tu copia de esta guía está en la papelera. Sácala para seguir con ella.',
      takeOut: 'Sacarla de la papelera',
      removed:
        'Todo lo que escribiste en ella se elimina ahora y nadie podrá recuperarlo. Tus entradas y evidencias se quedan.',
    },
  },
}
