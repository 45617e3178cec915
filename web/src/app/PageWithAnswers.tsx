// A page with what was said of it: pages know nothing of submissions, so the two come together here.
import { lazy } from 'react'
import { loadPageAnswers } from '../submissions/index.ts'
import { PageScreen } from '../pages/index.ts'
import { needWords } from '../words/i18n.ts'

/** Fetched beside the page: most pages were never handed in. */
const PageAnswers = lazy(async () => {
  await needWords('submissions')
  return { default: await loadPageAnswers() }
})

export function PageWithAnswers() {
  return <PageScreen Below={PageAnswers} />
}
