// The keys of the desk at its foot, and the switch for those that are a single letter or digit.
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { usePreferences, useSession } from '../session/index.ts'
import { footNote } from '../ui/footNote.ts'
import styles from './DeskKeys.module.css'

interface DeskKeysProps {
  /** How many levels the open copy can be given; 0 where it cannot be given one. */
  readonly levels: number
  readonly isOpen: boolean
  readonly hasNext: boolean
}

export function DeskKeys({ levels, isOpen, hasNext }: DeskKeysProps) {
  const { t } = useTranslation('desk')
  const { letterKeys } = useSession()
  const preferences = usePreferences()
  const mayUndo = footNote.use()?.action?.label === 'undo'
  const mayAnswer = levels > 0
  const letters = [
    { caps: ['N'], words: t('keys.next'), isShown: hasNext },
    { caps: ['B'], words: t('keys.back'), isShown: isOpen },
    { caps: levels > 1 ? ['1', String(levels)] : ['1'], words: t('keys.level'), isShown: mayAnswer },
    { caps: ['F'], words: t('keys.feedback'), isShown: isOpen },
    { caps: ['R'], words: t('keys.ask'), isShown: mayAnswer },
    { caps: ['U'], words: t('keys.undo'), isShown: mayUndo },
  ].filter(({ isShown }) => isShown && letterKeys)
  return (
    <div className={styles.keys} role="group" aria-label={t('keys.label')}>
      <dl>
        {letters.map(({ caps, words }) => (
          <div key={words}>
            <dt>
              {caps.map((cap, at) => (
                <span key={cap}>
                  {at > 0 ? ' – ' : null}
                  <kbd>{cap}</kbd>
                </span>
              ))}
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
        {mayAnswer ? (
          <div>
            <dt>
              <kbd>Ctrl</kbd> <kbd>Enter</kbd>
            </dt>
            <dd>{t('keys.accept')}</dd>
          </div>
        ) : null}
      </dl>
      <Link component="button" type="button" onClick={() => preferences.mutate({ letterKeys: !letterKeys })}>
        {t(letterKeys ? 'keys.turnOff' : 'keys.turnOn')}
      </Link>
    </div>
  )
}
