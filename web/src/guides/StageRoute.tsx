// The stages of a guide as a route: where one stands, what is done, and when the next one opens.
import type { StageOnRoute } from '@valise/core/guides'
import { useTranslation } from 'react-i18next'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

interface StageRouteProps {
  readonly stages: readonly StageOnRoute[]
  /** Which one is looked at; null where none can be. */
  readonly shownId: string | null
  readonly onShow: ((id: string) => void) | null
}

export function StageRoute({ stages, shownId, onShow }: StageRouteProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  return (
    <nav aria-label={t('stage.route')} className={styles.route}>
      <ol>
        {stages.map((stage) => {
          const about = (
            <>
              <b>{words.text(stage.name) || t('stage.untitled')}</b>
              <span>{words.progress(stage)}</span>
              <small>{words.times(stage)}</small>
            </>
          )
          const isShown = stage.id === shownId
          return (
            <li key={stage.id} data-phase={stage.phase} data-progress={stage.progress} data-shown={isShown}>
              {onShow && stage.phase !== 'to-come' ? (
                <button
                  type="button"
                  aria-current={isShown ? 'step' : undefined}
                  onClick={() => onShow(stage.id)}
                >
                  {about}
                </button>
              ) : (
                <div>{about}</div>
              )}
            </li>
          )
        })}
      </ol>
    </nav>
  )
}
