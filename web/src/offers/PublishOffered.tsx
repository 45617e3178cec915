// How far something has come that is written for others: what they have of it, and who it is offered to.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import type { OfferedContent, OwnOffered } from '@valise/core/offers'
import { isAssessorRole } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { useSession } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import type { OfferedApi } from './offeredApi.ts'
import styles from './Offers.module.css'

interface PublishOfferedProps<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly own: OwnOffered<C>
  /** What it still lacks as it stands in this window; null where nothing is lacking. */
  readonly lacks: string | null
  /** Whether all of it is on the server. */
  readonly isSaved: boolean
  readonly isForClassesAlone: boolean
}

export function PublishOffered<C extends OfferedContent>({
  api,
  own,
  lacks,
  isSaved,
  isForClassesAlone,
}: PublishOfferedProps<C>) {
  const { t } = useTranslation('offers')
  const when = useWhen()
  const publish = api.usePublish(own.id)
  const { n, publishedAt, isNewer, revision } = own
  return (
    <section className={styles.publish} aria-label={t('publish.label')} data-published={n > 0}>
      <p>
        <b>
          {publishedAt === null
            ? t('publish.never')
            : t(isNewer ? 'publish.newer' : 'publish.same', { time: when.dayTime(publishedAt) })}
        </b>
        <small>{lacks ?? t(n === 0 ? 'publish.neverHint' : 'publish.hint')}</small>
      </p>
      {n === 0 || isNewer ? (
        <Button
          variant={lacks ? 'outlined' : 'contained'}
          color="primary"
          disabled={lacks !== null || !isSaved}
          loading={publish.isPending}
          onClick={() => publish.mutate(revision)}
        >
          {t(n === 0 ? 'publish.first' : 'publish.again')}
        </Button>
      ) : null}
      <Refusal error={publish.error} />
      {n > 0 ? <Offers api={api} own={own} isForClassesAlone={isForClassesAlone} /> : null}
    </section>
  )
}

type OffersProps<C extends OfferedContent> = Pick<PublishOfferedProps<C>, 'api' | 'own' | 'isForClassesAlone'>

function Offers<C extends OfferedContent>({ api, own, isForClassesAlone }: OffersProps<C>) {
  const { t } = useTranslation('offers')
  const { memberships, administrator } = useSession()
  const offer = api.useOffer(own.id)
  const mine = isForClassesAlone ? memberships.filter(({ role }) => isAssessorRole(role)) : memberships
  const classes = new Map(mine.map(({ classId, className }) => [classId, className]))
  // As it was just ticked, until the server has said so.
  const { classIds, isForSchool = false } = offer.isPending
    ? offer.variables
    : { classIds: own.offers, isForSchool: own.isForSchool }
  const mayOfferToSchool = administrator && !isForClassesAlone
  if (classes.size === 0 && !mayOfferToSchool) return null
  const { revision } = own
  const toggle = (classId: string) => {
    const isOffered = classIds.includes(classId)
    const next = isOffered ? classIds.filter((id) => id !== classId) : [...classIds, classId]
    offer.mutate({ classIds: next, revision })
  }
  return (
    <fieldset className={styles.offers}>
      <legend>{t('publish.offer')}</legend>
      {mayOfferToSchool ? (
        <FormControlLabel
          control={
            <Checkbox
              checked={isForSchool}
              disabled={offer.isPending}
              onChange={() => offer.mutate({ classIds, isForSchool: !isForSchool, revision })}
            />
          }
          label={t('publish.school')}
        />
      ) : null}
      {[...classes].map(([classId, name]) => (
        <FormControlLabel
          key={classId}
          control={
            <Checkbox
              checked={classIds.includes(classId)}
              disabled={offer.isPending}
              onChange={() => toggle(classId)}
            />
          }
          label={name}
        />
      ))}
      {own.isForSchool ? <p>{t('publish.schoolHint')}</p> : null}
      <Refusal error={offer.error} />
    </fieldset>
  )
}
