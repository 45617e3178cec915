// Evidence among other things.
import { IconPhoto } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const evidenceUi: ThingUi = {
  icon: IconPhoto,
  words: {
    en: {
      name: 'Evidence',
      untitled: 'Untitled evidence',
      put: 'Put in the bin',
      isInBin: 'This evidence is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'Its file and all its versions are removed now. Nobody can bring them back.',
    },
    es: {
      name: 'Evidencia',
      untitled: 'Evidencia sin título',
      put: 'Mover a la papelera',
      isInBin: 'Esta evidencia está en la papelera. Sácala para cambiarla.',
      takeOut: 'Sacarla de la papelera',
      removed: 'Su archivo y todas sus versiones se eliminan ahora. Nadie podrá recuperarlos.',
    },
  },
}
