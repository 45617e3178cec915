// The keys of the desk at its foot, and the switch for those that are a single letter or digit.
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { usePreferences } from '../people/queries.ts'
import { useSession } from '../people/useSession.ts'
import { footNote } from '../ui/footNote.ts'
import styles from './DeskKeys.module.css'

interface DeskKeysProps {
  /** How many levels the open copy can be given; 0 where it cannot be given one. */
  readonly levels: number
  readonly isOpen: boolean
}

export function DeskKeys({ levels, isOpen }: DeskKeysProps) {
  const { t } = useTranslation('desk')
  const { letterKeys } = useSession()
  const preferences = usePreferences()
  const mayUndo = footNote.use()?.action?.label === 'undo'
  const letters: [caps: string[], words: string][] = [
    [['N'], t('keys.next')],
    ...(isOpen ? [[['B'], t('keys.back')] as [string[], string]] : []),
    ...(levels > 0
      ? [[levels > 1 ? ['1', String(levels)] : ['1'], t('keys.level')] as [string[], string]]
      : []),
    ...(isOpen ? [[['F'], t('keys.feedback')] as [string[], string]] : []),
    ...(levels > 0 ? [[['R'], t('keys.ask')] as [string[], string]] : []),
    ...(mayUndo ? [[['U'], t('keys.undo')] as [string[], string]] : []),
  ]
  return (
    <div className={styles.keys} role="group" aria-label={t('keys.label')}>
      <dl>
        {(letterKeys ? letters : []).map(([caps, words]) => (
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
        {levels > 0 ? (
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
