// Sets of attributes among other things.
import { IconSeedling } from '@tabler/icons-react'
import type { ThingUi } from '../ThingUi.ts'

export const attributeSetUi: ThingUi = {
  icon: IconSeedling,
  words: {
    en: {
      name: 'Set of attributes',
      untitled: 'Untitled set of attributes',
      put: 'Put set in bin',
      isInBin: 'This set of attributes is in the bin. Take it out to change it.',
      takeOut: 'Take it out of the bin',
      removed: 'The set is removed now. Whatever students rated themselves stays.',
    },
    es: {
      name: 'Conjunto de cualidades',
      untitled: 'Conjunto de cualidades sin título',
      put: 'Mover conjunto a la papelera',
      isInBin: 'Este conjunto de cualidades está en la papelera. Sácalo para cambiarlo.',
      takeOut: 'Sacarlo de la papelera',
      removed: 'El conjunto se elimina ahora. Las autoevaluaciones se quedan.',
    },
  },
}
