// What stands in the way of showing a file, in a sentence that says what to do.
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'

interface PreviewProblemProps {
  readonly version: Evidence['version']
  readonly className?: string | undefined
}

export function PreviewProblem({ version, className }: PreviewProblemProps) {
  const { t } = useTranslation('evidence')
  const { previewProblem, width, height } = version
  if (previewProblem === null) return null
  return <p className={className}>{t(`preview.${previewProblem}`, { width, height })}</p>
}
