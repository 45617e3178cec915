// Texts that lost against a faster window: both are saved, and the author chooses.
import Button from '@mui/material/Button'
import type { QueryKey } from '@tanstack/react-query'
import { definitionOf, differenceWords, findPiece } from '@valise/core/pages'
import type { Draft, OtherVersion, Piece } from '@valise/core/pages'
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import type { DraftSync } from './DraftSync.ts'
import { useOtherVersion } from './queries.ts'
import styles from './OtherVersions.module.css'

interface OtherVersionsProps {
  readonly path: string
  readonly queryKey: QueryKey
  readonly draft: Draft
  readonly sync: DraftSync
}

export const OtherVersions = memo(function OtherVersions({
  path,
  queryKey,
  draft,
  sync,
}: OtherVersionsProps) {
  const { t } = useTranslation('pages')
  const choose = useOtherVersion(path, queryKey)
  if (draft.otherVersions.length === 0) return null
  const onChoose = (id: string, take: boolean) =>
    choose.mutate({ id, take }, { onSuccess: () => void sync.refresh() })
  return (
    <section className={styles.others} aria-label={t('others.title')}>
      <h2>{t('others.title')}</h2>
      <p role="status">{t('others.lead')}</p>
      <ul>
        {draft.otherVersions.map((other) => (
          <Other
            key={other.id}
            other={other}
            standing={findPiece(draft.document, other.piece.id)?.piece ?? null}
            onChoose={onChoose}
          />
        ))}
      </ul>
      <Refusal error={choose.error} />
    </section>
  )
})

interface OtherProps {
  readonly other: OtherVersion
  readonly standing: Piece | null
  readonly onChoose: (id: string, take: boolean) => void
}

function Other({ other, standing, onChoose }: OtherProps) {
  const { t } = useTranslation('pages')
  const when = useWhen()
  return (
    <li>
      <b>{t(other.isHere ? 'others.of' : 'others.gone', { time: when.time(other.at) })}</b>
      <p className={styles.text}>
        {differenceWords(
          standing ? definitionOf(standing).plainText(standing) : '',
          definitionOf(other.piece).plainText(other.piece),
        ).map(({ how, words }, n) =>
          how === 'added' ? (
            <ins key={n}>{words}</ins>
          ) : how === 'removed' ? (
            <del key={n}>{words}</del>
          ) : (
            words
          ),
        )}
      </p>
      <Button size="small" onClick={() => onChoose(other.id, true)}>
        {t(other.isHere ? 'others.take' : 'others.putBack')}
      </Button>{' '}
      <Button size="small" variant="text" onClick={() => onChoose(other.id, false)}>
        {t('others.remove')}
      </Button>
    </li>
  )
}
