// A page or a part as its reader meets it: the core's HTML, whose pictures can be looked at large.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import { IconX } from '@tabler/icons-react'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import styles from './PaperToRead.module.css'

interface PaperToReadProps {
  /** Built by the core's renderer from known parts, all text escaped. */
  readonly html: string
}

interface Enlarged {
  readonly source: string
  readonly alternativeText: string
}

export function PaperToRead({ html }: PaperToReadProps) {
  const { t } = useTranslation('app')
  const paper = useRef<HTMLDivElement>(null)
  const [enlarged, setEnlarged] = useState<Enlarged | null>(null)
  // The pictures stand in finished HTML, so they become buttons here; decoration stays decoration.
  useEffect(() => {
    for (const image of paper.current?.querySelectorAll<HTMLImageElement>('figure img:not([alt=""])') ?? []) {
      image.tabIndex = 0
      image.setAttribute('role', 'button')
      image.setAttribute('aria-label', t('picture.enlarge', { words: image.alt }))
    }
  }, [html, t])
  const enlarge = (target: EventTarget) => {
    if (!(target instanceof HTMLImageElement) || target.tabIndex < 0) return false
    setEnlarged({ source: target.currentSrc || target.src, alternativeText: target.alt })
    return true
  }
  return (
    <>
      <div
        ref={paper}
        className={styles.paper}
        onClick={({ target }) => enlarge(target)}
        onKeyDown={(event) => {
          if ((event.key === 'Enter' || event.key === ' ') && enlarge(event.target)) event.preventDefault()
        }}
        dangerouslySetInnerHTML={{ __html: html }}
      />
      {enlarged ? (
        <Dialog open fullScreen onClose={() => setEnlarged(null)} aria-label={t('picture.large')}>
          <Button
            variant="text"
            startIcon={<IconX size={20} stroke={1.7} />}
            autoFocus
            onClick={() => setEnlarged(null)}
            sx={{ alignSelf: 'flex-start', m: '6px' }}
          >
            {t('actions.close')}
          </Button>
          {/* It may be larger than the window: then it is scrolled, by keys as well. */}
          <div className={styles.large} tabIndex={0} role="group" aria-label={t('picture.large')}>
            <img src={enlarged.source} alt={enlarged.alternativeText} />
          </div>
        </Dialog>
      ) : null}
    </>
  )
}
