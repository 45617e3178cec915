// The sheets that ship with Valise. Whoever changes the questions of one counts up its version.
import type { SheetVersion } from '../schema.ts'
import { both, choice, day, evidence, long, scale, short, steps } from './asking.ts'

const afterWork: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000001',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['After a piece of work', 'Después de un trabajo']),
    about: both([
      'What you planned, what became of it, and what you try next.',
      'Lo que tenías pensado, en qué quedó y qué probarás ahora.',
    ]),
    questions: [
      long({
        id: 'setout',
        asks: ['What did you set out to do?', '¿Qué te propusiste hacer?'],
        hint: ['One or two sentences are enough.', 'Con una o dos frases basta.'],
        isRequired: true,
        words: [5],
      }),
      long({
        id: 'turnedout',
        asks: ['What turned out differently?', '¿Qué salió de otra manera?'],
        hint: ['Name the moment when you noticed it.', 'Di en qué momento te diste cuenta.'],
        isRequired: true,
        words: [10],
      }),
      long({
        id: 'beginner',
        asks: ['What would you tell a beginner?', '¿Qué le dirías a alguien que empieza?'],
        hint: ['What do you know now that you did not know before?', '¿Qué sabes ahora que antes no sabías?'],
      }),
      short({
        id: 'next',
        asks: ['What will you try next?', '¿Qué probarás la próxima vez?'],
        hint: ['One thing that you can really do.', 'Una sola cosa que de verdad puedas hacer.'],
        words: [0, 40],
      }),
    ],
  },
}

const beforeDuringAfter: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000002',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['Before, during, after', 'Antes, durante, después']),
    about: both([
      'Begin it before you start, and come back to it twice.',
      'Empiézalo antes de ponerte a trabajar y vuelve dos veces.',
    ]),
    questions: [
      long({
        id: 'before',
        asks: ['Before: what do you expect?', 'Antes: ¿qué esperas que pase?'],
        hint: [
          'What could go wrong, and what will you do then?',
          '¿Qué podría salir mal y qué harás entonces?',
        ],
        isRequired: true,
        words: [5],
      }),
      long({
        id: 'during',
        asks: ['During: what do you notice?', 'Durante: ¿qué notas?'],
        hint: [
          'Write it down while it happens. Half sentences are fine.',
          'Apúntalo mientras ocurre. Valen las frases a medias.',
        ],
      }),
      long({
        id: 'after',
        asks: ['After: what do you make of it?', 'Después: ¿qué piensas ahora?'],
        hint: [
          'Look at what you expected. What fits, what does not?',
          'Mira lo que esperabas. ¿Qué encaja y qué no?',
        ],
        isRequired: true,
        words: [10],
      }),
    ],
  },
}

const threeSentences: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000003',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['My week in three sentences', 'Mi semana en tres frases']),
    about: both(['Five minutes on a Friday.', 'Cinco minutos un viernes.']),
    questions: [
      short({
        id: 'did',
        asks: ['This week I …', 'Esta semana …'],
        hint: ['What took most of your time?', '¿En qué se te fue más tiempo?'],
        isRequired: true,
        words: [3, 40],
      }),
      short({
        id: 'stayed',
        asks: ['What stays with me is …', 'Me quedo con …'],
        hint: ['Something you saw, heard, or understood.', 'Algo que viste, oíste o entendiste.'],
        isRequired: true,
        words: [3, 40],
      }),
      short({
        id: 'want',
        asks: ['Next week I want to …', 'La semana que viene quiero …'],
        isRequired: true,
        words: [3, 40],
      }),
      choice(
        {
          id: 'felt',
          asks: ['How was the week?', '¿Qué tal la semana?'],
        },
        {
          options: [
            ['Heavy going', 'Cuesta arriba'],
            ['As usual', 'Como siempre'],
            ['It flowed', 'Todo rodado'],
          ],
        },
      ),
    ],
  },
}

const something: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000004',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['Looking at something I made', 'Miro algo que he hecho']),
    about: both([
      'For a drawing, a text, a measurement, a model, anything that came from your hands.',
      'Para un dibujo, un texto, una medición, una maqueta: cualquier cosa hecha por ti.',
    ]),
    questions: [
      evidence(
        {
          id: 'thing',
          asks: ['Which thing is it?', '¿De qué se trata?'],
          hint: ['Put it here, so that others see it too.', 'Ponlo aquí para que también lo vean los demás.'],
          isRequired: true,
        },
        { accepts: [], least: 1 },
      ),
      short({
        id: 'whatis',
        asks: ['What is it?', '¿Qué es?'],
        hint: ['For somebody who was not there.', 'Para alguien que no estuvo allí.'],
        isRequired: true,
        words: [3],
      }),
      steps({
        id: 'how',
        asks: ['How did you make it?', '¿Cómo lo hiciste?'],
        hint: ['One line for each step.', 'Una línea para cada paso.'],
      }),
      long({
        id: 'why',
        asks: ['Why did you make it like this?', '¿Por qué lo hiciste así?'],
        hint: ['Was there another way? Why not that one?', '¿Había otra forma? ¿Por qué no esa?'],
      }),
      long({
        id: 'learned',
        asks: ['What did you learn, or what will you do next?', '¿Qué aprendiste o qué harás ahora?'],
        isRequired: true,
        words: [10],
      }),
    ],
  },
}

const listening: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000005',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['Listening to a recording of myself', 'Escucho una grabación mía']),
    about: both([
      'For a talk, a piece of music, a lesson, a conversation.',
      'Para una charla, una pieza de música, una clase, una conversación.',
    ]),
    questions: [
      evidence(
        {
          id: 'recording',
          asks: ['Which recording do you listen to?', '¿Qué grabación escuchas?'],
          isRequired: true,
        },
        { accepts: ['audio', 'video'], least: 1 },
      ),
      long({
        id: 'like',
        asks: ['What do you like about it?', '¿Qué te gusta de ella?'],
        hint: ['Say at which minute.', 'Di en qué minuto.'],
        isRequired: true,
        words: [5],
      }),
      long({
        id: 'surprise',
        asks: ['What did you not expect to hear?', '¿Qué no esperabas oír?'],
      }),
      scale(
        {
          id: 'clear',
          asks: [
            'How clearly do others get what you mean?',
            '¿Con qué claridad se entiende lo que quieres decir?',
          ],
          hint: ['Give the reason for it.', 'Di por qué.'],
        },
        [
          ['Hard to follow', 'Cuesta seguirlo'],
          ['In parts', 'A ratos'],
          ['Mostly', 'Casi siempre'],
          ['All the way through', 'De principio a fin'],
        ],
      ),
      short({
        id: 'again',
        asks: ['What will you do differently next time?', '¿Qué harás de otra manera la próxima vez?'],
        words: [0, 40],
      }),
    ],
  },
}

const outdoors: SheetVersion = {
  id: '5ee70000-0000-7000-8000-000000000006',
  n: 1,
  source: 'shipped',
  content: {
    title: both(['A day outdoors', 'Un día al aire libre']),
    about: both([
      'What you saw, what you measured, and what you leave behind.',
      'Lo que viste, lo que mediste y lo que dejas detrás.',
    ]),
    questions: [
      day({
        id: 'when',
        asks: ['Which day was it?', '¿Qué día fue?'],
        isRequired: true,
      }),
      short({
        id: 'where',
        asks: ['Where were you, and in what weather?', '¿Dónde estuviste y qué tiempo hacía?'],
        isRequired: true,
        words: [3],
      }),
      long({
        id: 'saw',
        asks: ['What did you see, hear or measure?', '¿Qué viste, oíste o mediste?'],
        hint: [
          'First only what was there. What it means comes later.',
          'Primero solo lo que había. Lo que significa viene después.',
        ],
        isRequired: true,
        words: [10],
      }),
      evidence(
        {
          id: 'proof',
          asks: ['What did you bring home?', '¿Qué te trajiste?'],
          hint: ['A photo, a sketch, a table of numbers.', 'Una foto, un dibujo, una tabla de números.'],
        },
        { accepts: [], least: 1 },
      ),
      long({
        id: 'question',
        asks: ['Which question do you go back with?', '¿Con qué pregunta volverás?'],
      }),
    ],
  },
}

/** In the order in which they are offered. */
export const shippedSheets: readonly SheetVersion[] = [
  afterWork,
  beforeDuringAfter,
  threeSentences,
  something,
  listening,
  outdoors,
]
