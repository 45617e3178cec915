// Says that a guide was improved since a copy was begun: what changed, and that one chooses.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { differenceGuides } from '@valise/core/guides'
import type { GuideCopy, GuideVersion } from '@valise/core/guides'
import { useTranslation } from 'react-i18next'
import { guideQueries } from './queries.ts'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

interface NewerGuideProps {
  readonly copy: GuideCopy
  readonly onTake: (version: GuideVersion) => Promise<void>
}

export function NewerGuide({ copy, onTake }: NewerGuideProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const isNewer = copy.newest > copy.n
  const newest = useQuery({ ...guideQueries.newest(copy.guideId), enabled: isNewer && !copy.isEnded })
  if (!isNewer || !newest.data) return null
  const version = newest.data
  const changes = differenceGuides(copy.content, version.content)
  if (changes.length === 0) return null
  return (
    <section className={styles.newer} aria-label={t('newer.label')}>
      <p>
        <b>{t('newer.sentence', { name: copy.setBy })}</b> {t('newer.stays')}
      </p>
      <ul>
        {changes.map(({ what, of, name }, n) => (
          <li key={n}>{t(`newer.${what}.${of}`, { name: words.text(name) || t('stage.untitled') })}</li>
        ))}
      </ul>
      <Button onClick={() => void onTake(version)}>{t('newer.take')}</Button>
    </section>
  )
}
