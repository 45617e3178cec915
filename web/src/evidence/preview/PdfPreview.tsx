// A PDF, page by page, drawn by its library in a worker; its words lie over the picture for those who listen.
import Button from '@mui/material/Button'
import type { Evidence } from '@valise/core/evidence'
import { IconChevronLeft, IconChevronRight, IconPencil } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { fileAddress } from '../base/index.ts'
import { Refusal } from '../../ui/Refusal.tsx'
import { FileCard } from './FileCard.tsx'
import { useMarkPage } from './useMarkPage.ts'
import { usePdf } from './usePdf.ts'
import styles from './Preview.module.css'

export function PdfPreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const marking = useMarkPage(item)
  const { pdf, isBroken, page, setPage, words, canvas } = usePdf(fileAddress(item.id, item.version.n))

  if (isBroken) return <FileCard item={item} problem={t('preview.document-damaged')} />
  return (
    <div className={styles.pdf}>
      <canvas ref={canvas} role="img" aria-label={t('preview.page', { page, count: pdf?.count ?? 1 })} />
      <p className="only-heard">{words}</p>
      {pdf && pdf.count > 1 ? (
        <div className={styles.pages}>
          <Button
            size="small"
            disabled={page === 1}
            aria-label={t('preview.pageBefore')}
            onClick={() => setPage(page - 1)}
          >
            <IconChevronLeft size={18} stroke={1.7} />
          </Button>
          <span role="status">{t('preview.page', { page, count: pdf.count })}</span>
          <Button
            size="small"
            disabled={page === pdf.count}
            aria-label={t('preview.pageAfter')}
            onClick={() => setPage(page + 1)}
          >
            <IconChevronRight size={18} stroke={1.7} />
          </Button>
        </div>
      ) : null}
      {pdf && item.binnedAt === null ? (
        <Button
          size="small"
          startIcon={<IconPencil size={18} stroke={1.7} />}
          loading={marking.isRunning}
          onClick={() => marking.mark(pdf, page)}
        >
          {t('pdf.mark')}
        </Button>
      ) : null}
      <Refusal error={marking.error} />
    </div>
  )
}
