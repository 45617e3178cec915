// Collections among other things.
import { IconListTree } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const collectionUi: ThingUi = {
  icon: IconListTree,
  words: {
    en: {
      name: 'Collection',
      untitled: 'Untitled collection',
      put: 'Put collection in bin',
      isInBin: 'This collection is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'Its order and its headings are removed now. Its pages stay where they are.',
    },
    es: {
      name: 'Colección',
      untitled: 'Colección sin título',
      put: 'Mover colección a la papelera',
      isInBin: 'Esta colección está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'Su orden y sus apartados se eliminan ahora. Sus páginas se quedan donde están.',
    },
  },
}
