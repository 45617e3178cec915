// Setting a guide for classes: the assignment that its copies are handed in for, and the news to students.
import { dueAtOf, guideScale, stageRequirements } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import type { Localized, PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { listStudentIds, setForGuide } from '../assignments/index.ts'
import type { Trx } from '../database/index.ts'
import { tellNews } from '../news/index.ts'
import { getSchool } from '../people/index.ts'

interface GuideForClasses {
  readonly guideId: string
  readonly content: GuideContent
  readonly classIds: readonly string[]
  /** Those that it was not set for before. */
  readonly added: readonly string[]
}

export async function setForClasses(
  trx: Trx,
  actor: PersonActor,
  { guideId, content, classIds, added }: GuideForClasses,
): Promise<void> {
  const title = withoutBlanks(content.title)
  const about = withoutBlanks(content.about)
  // Only what is handed in has an assignment behind it.
  await setForGuide(trx, actor, {
    guideId,
    classIds: content.reading === 'sealed' ? classIds : [],
    dueAt: await dueAt(trx, content),
    input: {
      ...{ title, brief: Object.keys(about).length === 0 ? null : about, scale: [...guideScale] },
      ...{
        requirements: stageRequirements(content),
        terms: [],
        dueLocal: content.dueLocal,
        allowsGaps: true,
      },
    },
  })
  for (const classId of added) {
    const { name: className } = await trx.sql('classes').where({ id: classId }).first('name')
    for (const personId of await listStudentIds(trx, classId))
      await tellNews(trx, { personId, kind: 'guide-set', params: { guideId, title, className } })
  }
}

async function dueAt(trx: Trx, content: GuideContent) {
  try {
    return dueAtOf(content, (await getSchool(trx)).timeZone)
  } catch (cause) {
    throw new AppError('invalid', 'guide-lacks-due', { cause })
  }
}

function withoutBlanks(text: Localized): Localized {
  return Object.fromEntries(Object.entries(text).filter(([, words]) => words.trim() !== ''))
}
