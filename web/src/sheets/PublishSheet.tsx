// How far a sheet has come: what others have of it, and which classes it is offered to.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { sheetFaults } from '@valise/core/sheets'
import type { OwnSheet, SheetContent } from '@valise/core/sheets'
import { useTranslation } from 'react-i18next'
import { useSession } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useOfferSheet, usePublishSheet } from './queries.ts'
import styles from './Sheets.module.css'

interface PublishSheetProps {
  readonly sheet: OwnSheet
  /** As it stands in this window. */
  readonly content: SheetContent
  /** Whether all of it is on the server. */
  readonly isSaved: boolean
}

export function PublishSheet({ sheet, content, isSaved }: PublishSheetProps) {
  const { t } = useTranslation('sheets')
  const when = useWhen()
  const publish = usePublishSheet(sheet.id)
  const [fault] = sheetFaults(content)
  const { n, publishedAt, isNewer, revision } = sheet
  return (
    <section className={styles.publish} aria-label={t('publish.label')} data-published={n > 0}>
      <p>
        <b>
          {publishedAt === null
            ? t('publish.never')
            : t(isNewer ? 'publish.newer' : 'publish.same', { time: when.dayTime(publishedAt) })}
        </b>
        <small>
          {fault
            ? t(`faults.${fault.what}`, 'question' in fault ? { question: fault.question } : {})
            : t(n === 0 ? 'publish.neverHint' : 'publish.hint')}
        </small>
      </p>
      {n === 0 || isNewer ? (
        <Button
          variant={fault ? 'outlined' : 'contained'}
          color="primary"
          disabled={fault !== undefined || !isSaved}
          loading={publish.isPending}
          onClick={() => publish.mutate(revision)}
        >
          {t(n === 0 ? 'publish.first' : 'publish.again')}
        </Button>
      ) : null}
      <Refusal error={publish.error} />
      {n > 0 ? <Offers sheet={sheet} /> : null}
    </section>
  )
}

function Offers({ sheet }: { readonly sheet: OwnSheet }) {
  const { t } = useTranslation('sheets')
  const { memberships } = useSession()
  const offer = useOfferSheet(sheet.id)
  const classes = new Map(memberships.map(({ classId, className }) => [classId, className]))
  // As it was just ticked, until the server has said so.
  const offers = offer.isPending ? offer.variables.classIds : sheet.offers
  if (classes.size === 0) return null
  const toggle = (classId: string) => {
    const isOffered = offers.includes(classId)
    const classIds = isOffered ? offers.filter((id) => id !== classId) : [...offers, classId]
    offer.mutate({ classIds, revision: sheet.revision })
  }
  return (
    <fieldset className={styles.offers}>
      <legend>{t('publish.offer')}</legend>
      {[...classes].map(([classId, name]) => (
        <FormControlLabel
          key={classId}
          control={
            <Checkbox
              checked={offers.includes(classId)}
              disabled={offer.isPending}
              onChange={() => toggle(classId)}
            />
          }
          label={name}
        />
      ))}
      <Refusal error={offer.error} />
    </fieldset>
  )
}
