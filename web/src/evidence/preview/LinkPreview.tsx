// A link: its picture, where it leads, and, where it is known media, what can be played or worked with in a frame.
import Button from '@mui/material/Button'
import MuiLink from '@mui/material/Link'
import { IconExternalLink, IconLinkOff, IconPlayerPlay, IconRefresh } from '@tabler/icons-react'
import type { Evidence, Link } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useCheckAgain, Thumbnail } from '../base/index.ts'
import styles from './Preview.module.css'

export function LinkPreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const check = useCheckAgain(item.id)
  const { link } = item
  if (!link) return null
  const { address, siteName, description, state } = link
  return (
    <div className={styles.link}>
      {link.frame === null ? (
        <div className={styles.linkPicture}>
          <Thumbnail item={item} />
        </div>
      ) : (
        <Frame frame={link.frame} item={item} />
      )}
      <p>
        <b>{siteName}</b>
        {description === '' ? null : (
          <>
            <br />
            {description}
          </>
        )}
      </p>
      {state === 'there' ? null : (
        <p className={styles.linkState} data-state={state}>
          <IconLinkOff size={16} stroke={1.7} aria-hidden="true" />
          {t(`link.states.${state}`)}
        </p>
      )}
      <MuiLink href={address} target="_blank" rel="noopener noreferrer" className={styles.address ?? ''}>
        <IconExternalLink size={15} stroke={1.7} aria-hidden="true" />
        {address}
      </MuiLink>
      <Refusal error={check.error} />
      <Button
        size="small"
        variant="text"
        startIcon={<IconRefresh size={16} stroke={1.7} />}
        loading={check.isPending}
        onClick={() => check.mutate('link')}
      >
        {t('link.checkAgain')}
      </Button>
    </div>
  )
}

interface FrameProps {
  readonly frame: NonNullable<Link['frame']>
  readonly item: Evidence
}

/** Nothing of another site is loaded before it is asked for. */
function Frame({ frame, item }: FrameProps) {
  const { t } = useTranslation('evidence')
  const [isOpen, setIsOpen] = useState(false)
  if (!isOpen) {
    return (
      <button type="button" className={styles.frameCover} onClick={() => setIsOpen(true)}>
        <Thumbnail item={item} />
        <span>
          <IconPlayerPlay size={18} stroke={1.7} aria-hidden="true" />
          {t(`link.open.${frame.kind}`, { site: frame.site })}
        </span>
      </button>
    )
  }
  return (
    <iframe
      className={styles.frame}
      src={frame.address}
      title={t('link.frameOf', { title: item.title, site: frame.site })}
      sandbox="allow-scripts"
      allow="fullscreen; autoplay"
      referrerPolicy="no-referrer"
    />
  )
}
