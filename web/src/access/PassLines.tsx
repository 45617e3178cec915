// The passes of one row: its own, which can be changed, those that come down to it, and those that rest or have ended.
import { IconClock, IconClockOff, IconCornerDownRight, IconTicket } from '@tabler/icons-react'
import type { Pass, Sharing, SharingRow } from '@valise/core/access'
import { isDraft } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { useAccessWords } from './useAccessWords.ts'
import styles from './Sharing.module.css'

interface PassLinesProps {
  readonly row: SharingRow
  readonly sharing: Sharing
  readonly onManage: (pass: Pass) => void
}

export function PassLines({ row, sharing, onManage }: PassLinesProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const { thing, passes, inherited, isHidden, containerId } = row
  const isResting = isDraft(thing)
  const running = passes.filter(({ state }) => state !== 'ended')
  const ended = passes.filter(({ state }) => state === 'ended')
  const fromAbove = inherited.filter(({ pass }) => pass.state !== 'ended')
  const titleOf = (id: string) => {
    const found = sharing.things.find((one) => one.id === id)
    return found ? words.title(found) : ''
  }
  const own = (pass: Pass) => (
    <OwnPass key={pass.id} pass={pass} rests={isResting} title={words.title(thing)} onManage={onManage} />
  )
  return (
    <div className={styles.passes}>
      {isResting && running.length + fromAbove.length > 0 ? (
        <p className={styles.pass} data-held="stitched">
          {t('sharing.restsDraft')}
        </p>
      ) : null}
      {isHidden && !isResting && fromAbove.length > 0 ? (
        <p className={styles.pass} data-held="hidden">
          {t('sharing.restsHidden')}
        </p>
      ) : null}
      {running.map(own)}
      {isResting || isHidden
        ? null
        : fromAbove.map(({ pass, fromId }) => (
            <p
              key={`${pass.id} ${fromId}`}
              className={styles.pass}
              data-held="inherited"
              data-state={pass.state}
            >
              <IconCornerDownRight size={16} stroke={1.7} aria-hidden="true" />
              <span>
                {fromId === containerId
                  ? words.audience(pass)
                  : t('pass.inherited', { audience: words.audience(pass), title: titleOf(fromId) })}
              </span>
              <small>{words.span(pass)}</small>
            </p>
          ))}
      {ended.length > 0 ? (
        <details className={styles.ended}>
          <summary>{t('sharing.ended', { count: ended.length })}</summary>
          {ended.map(own)}
        </details>
      ) : null}
    </div>
  )
}

interface OwnPassProps {
  readonly pass: Pass
  /** Whether it opens nothing now because there is nothing published. */
  readonly rests: boolean
  readonly title: string
  readonly onManage: (pass: Pass) => void
}

function OwnPass({ pass, rests, title, onManage }: OwnPassProps) {
  const { t } = useTranslation('access')
  const words = useAccessWords()
  const audience = words.audience(pass)
  const PassIcon = pass.state === 'ended' ? IconClockOff : pass.state === 'to-come' ? IconClock : IconTicket
  const held = pass.state === 'running' && !rests && !pass.isForbidden ? 'own' : 'outlined'
  return (
    <button
      type="button"
      className={styles.pass}
      data-held={held}
      data-state={pass.state}
      title={t('pass.change', { audience, title })}
      onClick={() => onManage(pass)}
    >
      <PassIcon size={16} stroke={1.7} aria-hidden="true" />
      <span>{t('pass.own', { audience })}</span>
      <small>{words.span(pass)}</small>
      {pass.isForbidden ? <small className={styles.forbidden}>{t('pass.forbidden')}</small> : null}
    </button>
  )
}
