// One's own settings: language, colours, keys, password, and where one is signed in.
import { useColorScheme } from '@mui/material/styles'
import { languages } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { usePreferences, useSession } from '../session/index.ts'
import { ChangePassword } from './ChangePassword.tsx'
import { OpenSessions } from './OpenSessions.tsx'
import styles from './SettingsScreen.module.css'

const schemes = ['light', 'dark', 'system'] as const

export function SettingsScreen() {
  const { t } = useTranslation(['people', 'app'])
  const session = useSession()
  const preferences = usePreferences()
  const { mode, setMode } = useColorScheme()
  return (
    <Screen place={t('app:places.settings')} sentence={t('settings.title')}>
      <Refusal error={preferences.error} />
      <dl className={styles.settings}>
        <dt>{t('settings.language')}</dt>
        <dd>
          <ChoiceBar
            label={t('settings.language')}
            value={session.language}
            choices={languages.map((language) => [language, t(`languages.${language}`)] as const)}
            onChange={(language) => preferences.mutate({ language })}
          />
        </dd>
        <dt>{t('settings.colours')}</dt>
        <dd>
          <ChoiceBar
            label={t('settings.colours')}
            value={mode ?? 'system'}
            choices={schemes.map((scheme) => [scheme, t(`settings.${scheme}`)] as const)}
            onChange={setMode}
          />
          <p>{t('settings.coloursHelp')}</p>
        </dd>
        <dt>{t('settings.letters')}</dt>
        <dd>
          <ChoiceBar
            label={t('settings.letters')}
            value={session.letterKeys ? 'on' : 'off'}
            choices={[
              ['on', t('settings.lettersOn')],
              ['off', t('settings.lettersOff')],
            ]}
            onChange={(value) => preferences.mutate({ letterKeys: value === 'on' })}
          />
          <p>{t('settings.lettersHelp')}</p>
        </dd>
        {session.memberships.some(({ role }) => role === 'student') ? (
          <>
            <dt>{t('settings.week')}</dt>
            <dd>
              <ChoiceBar
                label={t('settings.week')}
                value={session.showsWeek ? 'on' : 'off'}
                choices={[
                  ['on', t('settings.weekOn')],
                  ['off', t('settings.weekOff')],
                ]}
                onChange={(value) => preferences.mutate({ showsWeek: value === 'on' })}
              />
              <p>{t('settings.weekHelp')}</p>
            </dd>
          </>
        ) : null}
        {session.hasPassword ? (
          <>
            <dt>{t('settings.password')}</dt>
            <dd>
              <ChangePassword />
            </dd>
          </>
        ) : null}
        <dt>{t('settings.sessions')}</dt>
        <dd>
          <OpenSessions />
        </dd>
      </dl>
    </Screen>
  )
}
