// The quiet acts of a page: taking back the last change, and the bin.
import Button from '@mui/material/Button'
import { IconArrowBackUp } from '@tabler/icons-react'
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { PutInBin } from '../bin/index.ts'
import type { DraftSync } from '../saving/index.ts'
import { LanguageField } from '../text/index.ts'
import type { TextLanguage } from '../text/index.ts'
import styles from './AddPiece.module.css'

interface PageFootProps {
  readonly id: string
  readonly title: string
  readonly lang: TextLanguage
  readonly canUndo: boolean
  readonly sync: DraftSync
}

export const PageFoot = memo(function PageFoot({ id, title, lang, canUndo, sync }: PageFootProps) {
  const { t } = useTranslation('pages')
  return (
    <div className={styles.foot}>
      <LanguageField
        label={t('foot.language')}
        value={lang}
        onChange={(next) => void sync.act([{ op: 'set-lang', lang: next }])}
      />
      <Button
        variant="text"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!canUndo}
        onClick={() => sync.undo()}
      >
        {t('foot.undo')}
      </Button>
      <PutInBin kind="page" id={id} title={title} leaveTo="/pages" />
    </div>
  )
})
