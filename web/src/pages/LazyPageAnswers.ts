// What was said on a page, fetched beside it: most pages were never handed in.
import { lazy } from 'react'
import { needWords } from '../words/i18n.ts'

export const PageAnswers = lazy(async () => {
  await needWords('submissions')
  return { default: (await import('../submissions/PageAnswers.tsx')).PageAnswers }
})
