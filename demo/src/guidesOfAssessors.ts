// The guides of the sample world: five visits to one stake for Shore Methods, and a short one with pictures for the Juniors.
import type { Block, GuideContent, Stage } from '@valise/core/guides'
import { newInstruction } from '@valise/core/guides'
import { fieldOf } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import { shippedSheetIds } from './logbooksOfWren.ts'
import { richTextOf } from './sampleBlocks.ts'

type Both = readonly [en: string, es: string]

const both = ([en, es]: Both) => ({ en, es })

/** What a guide shows of the evidence of whoever sets it, by its titles. */
export type ItemOf = (title: string) => { readonly id: string; readonly kind: 'picture' }

function tell(id: string, [en, es]: Both, items: ReturnType<ItemOf>[] = []): Block {
  return { ...newInstruction(id), text: { en: richTextOf(en), es: richTextOf(es) }, items }
}

function ask(kind: FieldKind, id: string, asks: Both, more: object = {}): Block {
  const question = { ...fieldOf({ kind }).create(id), asks: both(asks), weight: 'must', ...more }
  // A field makes questions of its kind, which the compiler does not follow.
  return question as Question
}

function stage(id: string, name: Both, blocks: Block[], more: Partial<Stage> = {}): Stage {
  const opens = { how: 'after' as const, local: null }
  return { id, name: both(name), opens, closesLocal: null, blocks, ...more }
}

const recommended = { weight: 'should' }
const outdoors = { id: shippedSheetIds.outdoors, title: both(['A day outdoors', 'Un día al aire libre']) }

/**
 * @param rating the question about one attribute of the school
 */
export function fiveVisits(
  today: LocalDay,
  dueInDays: number,
  itemOf: ItemOf,
  rating: Question,
): GuideContent {
  const opensIn = (days: number) => ({ how: 'at' as const, local: `${addDays(today, days)}T08:00` })
  return {
    title: both(['One stake, five visits', 'Una estaca, cinco visitas']),
    about: both([
      'Come back to one stake five times, and see what the bank does meanwhile.',
      'Vuelve cinco veces a una misma estaca y mira qué hace mientras tanto la orilla.',
    ]),
    reading: 'sealed',
    dueLocal: `${addDays(today, dueInDays)}T17:00`,
    stages: [
      stage(
        'choose',
        ['Choose your stake', 'Elige tu estaca'],
        [
          tell(
            'safety',
            [
              'Choose a stake that you can reach at low water _without_ crossing the creek. Go in twos.',
              'Elige una estaca a la que llegues con marea baja _sin_ cruzar el canal. Id de dos en dos.',
            ],
            [itemOf('A stake, and how to read it')],
          ),
          ask('short', 'where', ['Where is your stake?', '¿Dónde está tu estaca?'], {
            hint: both(['The bank, and its number', 'La orilla y su número']),
          }),
          ask(
            'evidence',
            'first',
            ['A picture of it, with the number to be read', 'Una foto en la que se lea su número'],
            {
              accepts: ['picture'],
              most: 2,
            },
          ),
          ask('people', 'with', ['Who goes with you?', '¿Quién va contigo?'], recommended),
        ],
        { opens: opensIn(-24) },
      ),
      stage(
        'look',
        ['First look', 'Primera mirada'],
        [
          tell('slow', [
            'Stand still for five minutes before you write anything down.',
            'Quédate quieto cinco minutos antes de anotar nada.',
          ]),
          ask('entry', 'visit1', ['Your first visit', 'Tu primera visita'], { sheet: outdoors, most: 1 }),
          { ...rating, weight: 'should' },
        ],
      ),
      stage(
        'storm',
        ['After a spring tide or a storm', 'Después de una marea viva o un temporal'],
        [
          ask('entry', 'visit2', ['What was different?', '¿Qué era distinto?'], { sheet: outdoors }),
          ask('long', 'why', ['What do you think moved the mud?', '¿Qué crees que movió el barro?'], {
            words: { least: 30, most: 200 },
          }),
          ask('evidence', 'same', ['The same view as the first time', 'La misma vista que la primera vez'], {
            accepts: ['picture', 'video'],
          }),
        ],
      ),
      stage(
        'compare',
        ['Compare', 'Compara'],
        [
          ask('logbook', 'book', ['Your logbook of the stake', 'Tu cuaderno de la estaca'], recommended),
          ask('steps', 'order', ['What happened, in order', 'Qué pasó, en orden']),
        ],
        { opens: opensIn(-1) },
      ),
      stage(
        'tell',
        ['Tell a beginner', 'Cuéntaselo a quien empieza'],
        [
          ask('page', 'page', ['A page about your stake', 'Una página sobre tu estaca']),
          ask('long', 'advice', ['What would you tell a beginner?', '¿Qué le dirías a quien empieza?'], {
            words: { least: 20, most: null },
          }),
        ],
        { opens: opensIn(3) },
      ),
    ],
  }
}

/** For the Juniors: pictures instead of long words, followed from the start. */
export function shellWalk(itemOf: ItemOf): GuideContent {
  return {
    title: both(['A shell walk', 'Paseo de conchas']),
    about: both(['Find three shells. Show us.', 'Encuentra tres conchas. Enséñanoslas.']),
    reading: 'followed',
    dueLocal: null,
    stages: [
      stage(
        'find',
        ['Find', 'Busca'],
        [
          tell(
            'look',
            ['Look where the last wave stopped.', 'Mira donde paró la última ola.'],
            [itemOf('Where the last wave stopped')],
          ),
          ask('evidence', 'shells', ['Your three shells', 'Tus tres conchas'], {
            accepts: ['picture'],
            most: 3,
          }),
        ],
      ),
      stage(
        'say',
        ['Say', 'Di'],
        [
          ask('short', 'best', ['Which one do you like best?', '¿Cuál te gusta más?']),
          ask('evidence', 'voice', ['Tell us why', 'Cuéntanos por qué'], {
            ...recommended,
            accepts: ['audio', 'video'],
          }),
        ],
      ),
      stage(
        'sort',
        ['Put back', 'Devuelve'],
        [
          tell('back', ['Put living shells back.', 'Devuelve las conchas vivas.'], [itemOf('Put it back')]),
          ask('choice', 'back', ['Did you put them back?', '¿Las devolviste?'], {
            options: [
              { id: 'all', label: both(['All of them', 'Todas']) },
              { id: 'some', label: both(['Some of them', 'Algunas']) },
            ],
          }),
        ],
        { opens: { how: 'hand', local: null } },
      ),
    ],
  }
}
