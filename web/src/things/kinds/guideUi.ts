// Guides among other things.
import { IconRoute } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const guideUi: ThingUi = {
  icon: IconRoute,
  words: {
    en: {
      name: 'Guide',
      untitled: 'Untitled guide',
      put: 'Put guide in bin',
      isInBin: 'This guide is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'The guide is removed now, with all its versions.',
    },
    es: {
      name: 'Guía',
      untitled: 'Guía sin título',
      put: 'Mover guía a la papelera',
      isInBin: 'Esta guía está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'La guía se elimina ahora, con todas sus versiones.',
    },
  },
}
