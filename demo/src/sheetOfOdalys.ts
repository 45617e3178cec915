// The questions that Odalys offers to Shore Methods, for every visit to the stake.
import { fieldOf } from '@valise/core/pages'
import type { SheetContent } from '@valise/core/sheets'

export const stakeSheet: SheetContent = {
  title: { en: 'At the stake', es: 'Junto a la estaca' },
  about: {
    en: 'Ten minutes at the same stake, every time in the same order.',
    es: 'Diez minutos junto a la misma estaca, siempre en el mismo orden.',
  },
  questions: [
    {
      ...fieldOf({ kind: 'evidence' }).create('photo'),
      asks: { en: 'The stake today, from the same spot', es: 'La estaca hoy, desde el mismo sitio' },
      hint: { en: 'Both feet on the flat stone.', es: 'Los dos pies sobre la piedra plana.' },
      weight: 'must',
      accepts: ['picture'],
    },
    {
      ...fieldOf({ kind: 'choice' }).create('wind'),
      asks: { en: 'Where does the wind come from?', es: '¿De dónde viene el viento?' },
      options: [
        { id: 'west', label: { en: 'The sea', es: 'Del mar' } },
        { id: 'east', label: { en: 'The land', es: 'De tierra' } },
        { id: 'none', label: { en: 'There is none', es: 'No hay' } },
      ],
    },
    {
      ...fieldOf({ kind: 'long' }).create('changed'),
      asks: { en: 'What is different from last time?', es: '¿Qué ha cambiado desde la última vez?' },
      hint: {
        en: 'Look low, look high, then look behind you.',
        es: 'Mira abajo, mira arriba y luego detrás de ti.',
      },
      weight: 'must',
      words: { least: 15, most: 120 },
    },
    {
      ...fieldOf({ kind: 'scale' }).create('sure'),
      asks: { en: 'How sure are you?', es: '¿Qué seguridad tienes?' },
      steps: [
        { id: 's1', label: { en: 'It is a guess', es: 'Es un tanteo' } },
        { id: 's2', label: { en: 'Fairly', es: 'Bastante' } },
        { id: 's3', label: { en: 'I measured it', es: 'Lo he medido' } },
      ],
    },
  ],
}
