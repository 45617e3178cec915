// Writing what one says of an item; the editor and its words come when somebody begins.
import { useQuery } from '@tanstack/react-query'
import type { Asking } from '@valise/core/sheets'
import { lazy, Suspense } from 'react'
import { useSession } from '../session/index.ts'
import { Fetched, Loading } from '../ui/Fetched.tsx'
import { needWords } from '../words/i18n.ts'
import { statementQueries } from './queries.ts'

const StatementEditor = lazy(async () => {
  await Promise.all([needWords('sheets'), needWords('pages')])
  return { default: (await import('./StatementEditor.tsx')).StatementEditor }
})

interface StatementWritingProps {
  readonly id: string
  /** What the text is, for those who do not see where it stands. */
  readonly label: string
  /** Questions of an assignment, to go along. */
  readonly asked?: Asking
  /** How many words an assignment asks for. */
  readonly least?: number
}

export function StatementWriting({ id, ...writing }: StatementWritingProps) {
  const { language } = useSession()
  const query = useQuery(statementQueries.begun(id, { lang: language }))
  return (
    <Fetched query={query}>
      {({ draft }) =>
        draft ? (
          <Suspense fallback={<Loading />}>
            <StatementEditor id={id} draft={draft} {...writing} />
          </Suspense>
        ) : null
      }
    </Fetched>
  )
}
