// Look as anybody at any moment: the answer as a sentence, its reasons, and what stands in the way elsewhere.
import Button from '@mui/material/Button'
import { useSuspenseQuery } from '@tanstack/react-query'
import type { UseQueryResult } from '@tanstack/react-query'
import type { Audiences, LookAs, Sharing } from '@valise/core/access'
import { localToInstant, toLocal } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { sessionQueries } from '../session/index.ts'
import { DayField } from '../ui/DayField.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import type { Looker } from './queries.ts'
import { Answer } from './Answer.tsx'
import styles from './LookAsPanel.module.css'

export interface LookAsPanelProps {
  readonly sharing: Sharing
  readonly audiences: Audiences
  readonly looker: Looker
  /** The moment; null is now. */
  readonly at: string | null
  readonly chosen: Sharing['things'][number]
  /** Who looks, as sentences name them. */
  readonly name: string
  readonly lookAs: UseQueryResult<LookAs>
  readonly onLooker: (looker: Looker) => void
  readonly onAt: (at: string | null) => void
  readonly onGive: (thingId: string) => void
}

export function LookAsPanel(props: LookAsPanelProps) {
  const { t } = useTranslation('access')
  return (
    <div className={styles.panel}>
      <h2>{t('look.title')}</h2>
      <p className={styles.hint}>{t('look.hint')}</p>
      <WhoLooks {...props} />
      <Moment {...props} />
      <Fetched query={props.lookAs}>{(found) => <Answer {...props} answers={found.answers} />}</Fetched>
    </div>
  )
}

function WhoLooks({ sharing, audiences, looker, onLooker }: LookAsPanelProps) {
  const { t } = useTranslation('access')
  const links = sharing.passes.filter(({ address, state }) => address !== null && state !== 'ended')
  const choices = [
    ...audiences.people.map(({ id, name, isAssessor, className }): [string, string] => [
      `person ${id}`,
      t(isAssessor ? 'look.assessor' : 'look.person', { name, class: className }),
    ]),
    ...links.map(({ id, audience }): [string, string] => [
      `link ${id}`,
      t('look.link', { name: audience.name }),
    ]),
    ['stranger ', t('look.stranger')] as const,
  ]
  const [value] = choices.map(([key]) => key).filter((key) => key === keyOf(looker))
  return (
    <SelectField
      label={t('look.who')}
      value={value ?? 'stranger '}
      choices={choices}
      fullWidth
      onChange={(key) => onLooker(lookerOf(key))}
    />
  )
}

function Moment({ at, lookAs, onAt }: LookAsPanelProps) {
  const { t } = useTranslation('access')
  const { data: school } = useSuspenseQuery(sessionQueries.school())
  // Now is the moment of the answer that is shown.
  const shown = at ?? lookAs.data?.at ?? null
  return (
    <div className={styles.moment}>
      <DayField
        hasTime
        label={t('look.when')}
        value={shown === null ? '' : toLocal(shown, school.timeZone)}
        onChange={(local) => {
          if (local !== '') onAt(localToInstant(local, school.timeZone, 'from'))
        }}
      />
      <Button disabled={at === null} onClick={() => onAt(null)}>
        {t('look.now')}
      </Button>
    </div>
  )
}

function keyOf(looker: Looker): string {
  if (looker.kind === 'person') return `person ${looker.personId}`
  return looker.kind === 'link' ? `link ${looker.passId}` : 'stranger '
}

function lookerOf(key: string): Looker {
  const [kind, id = ''] = key.split(' ')
  if (kind === 'person') return { kind, personId: id }
  return kind === 'link' ? { kind, passId: id } : { kind: 'stranger' }
}
