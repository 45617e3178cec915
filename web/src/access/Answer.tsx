// The answer for the chosen thing: a sentence, its reasons numbered, then what else cannot be seen and what changes that.
import Link from '@mui/material/Link'
import { IconEye, IconEyeOff } from '@tabler/icons-react'
import { sharingRows } from '@valise/core/access'
import type { Sharing, ThingAnswer } from '@valise/core/access'
import { useEffect, useRef } from 'react'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import type { LookAsPanelProps } from './LookAsPanel.tsx'
import { Obstacles } from './Obstacles.tsx'
import { sharedByKind } from './shared/sharedByKind.ts'
import { useAccessWords } from './useAccessWords.ts'
import styles from './LookAsPanel.module.css'

export interface AnswerProps extends LookAsPanelProps {
  readonly answers: readonly ThingAnswer[]
}

export function Answer(props: AnswerProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const { answers, chosen, name } = props
  const answer = answers.find(({ thingId }) => thingId === chosen.id)
  const sentence = useRef<HTMLDivElement>(null)
  const first = useRef(chosen.id)
  // Where the panel stands under the rows, whoever chooses a thing is taken to its answer.
  useEffect(() => {
    if (first.current === chosen.id) return
    first.current = ''
    sentence.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen.id])
  if (!answer) return <p>{t('look.pick')}</p>
  return (
    <>
      <div ref={sentence} className={styles.sentence} aria-live="polite">
        <p>
          <Link component={RouterLink} to={screenOf(chosen.kind, chosen.id)}>
            {words.title(chosen)}
          </Link>
        </p>
        <h3>{answer.allowed ? words.can(name, answer.until) : t('look.cannot', { name })}</h3>
      </div>
      {answer.allowed ? (
        <>
          <Reasons {...props} answer={answer} />
          <p className={styles.see}>
            <IconEye size={18} stroke={1.7} aria-hidden="true" />
            <Link component={RouterLink} to={readAddress(chosen, answer)}>
              {t('look.see')}
            </Link>
          </p>
        </>
      ) : (
        <Obstacles {...props} thing={chosen} obstacles={answer.obstacles} />
      )}
      <Unseen {...props} />
    </>
  )
}

type Allowed = Extract<ThingAnswer, { allowed: true }>

function Reasons({ sharing, audiences, name, chosen, answer }: AnswerProps & { readonly answer: Allowed }) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const [grant] = answer.grants
  const pass = sharing.passes.find(({ id }) => id === grant?.passId)
  if (!grant || !pass) return null
  const titleOf = titlesOf(sharing, words.title)
  const className = audiences.classes.find(({ id }) => id === pass.audience.id)?.name ?? pass.audience.name
  const [top, ...below] = grant.path
  const on = { title: titleOf(top ?? chosen.id), time: words.time(pass) }
  const others = new Set(answer.grants.map(({ passId }) => passId)).size - 1
  return (
    <ol className={styles.reasons}>
      <li>{t(`why.${pass.audience.kind}`, { name, class: className, link: pass.audience.name })}</li>
      <li>
        {top === undefined
          ? t('why.own', on)
          : below.length === 0
            ? t('why.inherited', on)
            : t('why.through', { ...on, containers: below.map(titleOf).join(', ') })}
      </li>
      <li>{t(sharedByKind[chosen.kind].why)}</li>
      <li>{t('why.rules')}</li>
      {others > 0 ? <li>{t('why.more', { count: others })}</li> : null}
    </ol>
  )
}

/** Where the thing is read, in the collection that its pass is on. */
function readAddress({ kind, id }: AnswerProps['chosen'], { grants }: Allowed): string {
  return sharedByKind[kind].readAddress(id, grants[0]?.path[0])
}

/** What else lies with the chosen thing, or in it, and cannot be seen. */
function Unseen(props: AnswerProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const { sharing, answers, chosen, name } = props
  const { shared, alone } = sharingRows(sharing)
  const group = [...shared, ...alone].find((rows) => rows.some((row) => row.thing.id === chosen.id)) ?? []
  const things = [...new Map(group.map(({ thing }) => [thing.id, thing])).values()]
  const unseen = things.flatMap((thing) => {
    const answer = answers.find(({ thingId }) => thingId === thing.id)
    return answer && !answer.allowed && thing.id !== chosen.id ? [{ thing, answer }] : []
  })
  if (unseen.length === 0) return null
  return (
    <section className={styles.unseen}>
      <h3>{t('look.cannotSee', { name })}</h3>
      <ul>
        {unseen.map(({ thing, answer }) => (
          <li key={thing.id}>
            <b>
              <IconEyeOff size={15} stroke={1.9} aria-hidden="true" />
              {words.title(thing)}
            </b>
            <Obstacles {...props} thing={thing} obstacles={answer.obstacles} isShort />
          </li>
        ))}
      </ul>
    </section>
  )
}

function titlesOf(sharing: Sharing, title: (thing: Sharing['things'][number]) => string) {
  return (id: string): string => {
    const thing = sharing.things.find((one) => one.id === id)
    return thing ? title(thing) : ''
  }
}
