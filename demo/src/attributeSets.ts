// What students of the sample world rate themselves on: one set of the whole school, and a short one for the Juniors.
import type { AttributeSetContent } from '@valise/core/attributes'

type Both = readonly [en: string, es: string]

const both = ([en, es]: Both) => ({ en, es })
const stepsOf = (labels: readonly Both[]) =>
  labels.map((label, n) => ({ id: `s${n + 1}`, label: both(label) }))

interface SampleAttribute {
  readonly id: string
  readonly name: Both
  readonly meaning: Both
  /** What each step looks like, the lowest first. */
  readonly looks: readonly Both[]
}

const attributeOf = ({ id, name, meaning, looks }: SampleAttribute) => ({
  ...{ id, name: both(name), meaning: both(meaning) },
  looks: Object.fromEntries(looks.map((look, n) => [`s${n + 1}`, both(look)])),
})

const inTheField: readonly SampleAttribute[] = [
  {
    id: 'noticing',
    name: ['Noticing', 'Observar'],
    meaning: [
      'Seeing what is there before saying what it means.',
      'Ver lo que hay antes de decir qué significa.',
    ],
    looks: [
      ['I walk past most of it.', 'Paso de largo casi todo.'],
      ['I see things when they move.', 'Veo las cosas cuando se mueven.'],
      ['I see more when somebody asks what I see.', 'Veo más cuando alguien me pregunta qué veo.'],
      ['I stop by myself, and write down what I see.', 'Me paro por mi cuenta y anoto lo que veo.'],
      [
        'I show others where to look, and let them find it.',
        'Enseño a otros dónde mirar y dejo que lo encuentren.',
      ],
    ],
  },
  {
    id: 'asking',
    name: ['Asking before acting', 'Preguntar antes de actuar'],
    meaning: [
      'Finding out who and what is touched by what I do.',
      'Averiguar a quién y a qué afecta lo que hago.',
    ],
    looks: [
      ['I begin, and ask afterwards.', 'Empiezo y pregunto después.'],
      ['I ask when I am stuck.', 'Pregunto cuando me atasco.'],
      ['I ask when somebody reminds me.', 'Pregunto cuando me lo recuerdan.'],
      ['I ask first, also when I think I know.', 'Pregunto primero, incluso cuando creo saberlo.'],
      ['I make room for the questions of others.', 'Dejo sitio a las preguntas de los demás.'],
    ],
  },
  {
    id: 'notrace',
    name: ['Leaving no trace', 'No dejar rastro'],
    meaning: [
      'The shore looks after my visit as it did before.',
      'La orilla queda como estaba antes de mi visita.',
    ],
    looks: [
      ['I leave what I drop.', 'Dejo lo que se me cae.'],
      ['I take my own things along.', 'Me llevo lo mío.'],
      ['I also step where others stepped, when reminded.', 'Piso donde ya se pisó, si me lo recuerdan.'],
      ['I choose my path before I walk it.', 'Elijo el camino antes de andarlo.'],
      ['I plan visits so that few feet are needed.', 'Planeo las visitas para que basten pocos pies.'],
    ],
  },
  {
    id: 'passing',
    name: ['Passing on', 'Transmitir'],
    meaning: ['Others can use what I found out.', 'Otros pueden usar lo que averigüé.'],
    looks: [
      ['I keep it in my head.', 'Me lo guardo en la cabeza.'],
      ['I tell it when I am asked.', 'Lo cuento cuando me preguntan.'],
      ['I write it down when I am told to.', 'Lo anoto cuando me lo dicen.'],
      ['I write it down so that a stranger understands it.', 'Lo anoto de modo que lo entienda cualquiera.'],
      ['I teach it, and learn from what they ask.', 'Lo enseño y aprendo de lo que me preguntan.'],
    ],
  },
]

/** Kept by the school; the attributes are in the order in which they are learned. */
export const fieldAttributes: AttributeSetContent = {
  title: both(['Field Attributes', 'Cualidades de campo']),
  about: both([
    'How we work out on the shore, whatever the task is.',
    'Cómo trabajamos en la orilla, sea cual sea la tarea.',
  ]),
  steps: stepsOf([
    ['Not yet', 'Aún no'],
    ['Now and then', 'A veces'],
    ['With a reminder', 'Si me lo recuerdan'],
    ['On my own', 'Por mi cuenta'],
    ['Helping others to', 'Ayudando a otros'],
  ]),
  attributes: inTheField.map(attributeOf),
}

const inTheCrew: readonly SampleAttribute[] = [
  {
    id: 'listening',
    name: ['I listen', 'Escucho'],
    meaning: ['I hear the plan before I start.', 'Oigo el plan antes de empezar.'],
    looks: [],
  },
  {
    id: 'sharing',
    name: ['I share', 'Comparto'],
    meaning: ['Everybody gets a turn with the net.', 'Todos usan la red por turnos.'],
    looks: [],
  },
]

/** Offered to Saturday Crew by Rufus: three steps, and short words. */
export const crewAttributes: AttributeSetContent = {
  title: both(['Crew skills', 'Destrezas del equipo']),
  about: both(['How I help on a Saturday.', 'Cómo ayudo los sábados.']),
  steps: stepsOf([
    ['Not yet', 'Aún no'],
    ['Sometimes', 'A veces'],
    ['Always', 'Siempre'],
  ]),
  attributes: inTheCrew.map(attributeOf),
}
