// The states of a view that fetches: loading (with words after a second), failed, not there, and full.
import Button from '@mui/material/Button'
import type { UseQueryResult } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../api/index.ts'
import { Missing } from './Missing.tsx'
import { Refusal } from './Refusal.tsx'
import styles from './Fetched.module.css'

interface FetchedProps<T> {
  readonly query: Pick<UseQueryResult<T>, 'data' | 'error' | 'refetch'>
  readonly children: (data: T) => ReactNode
}

export function Fetched<T>({ query, children }: FetchedProps<T>) {
  const { t } = useTranslation()
  const { data, error } = query
  if (data !== undefined) return children(data)
  if (error === null) return <Loading />
  if (error instanceof ApiProblem && error.code === 'not-found') return <Missing />
  return (
    <div className={styles.failed}>
      <Refusal error={error} />
      <Button onClick={() => void query.refetch()}>{t('states.retry')}</Button>
    </div>
  )
}

/** Outlines of the content to come; after a second the words. */
export function Loading() {
  const { t } = useTranslation()
  const [isSlow, setIsSlow] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setIsSlow(true), 1000)
    return () => clearTimeout(timer)
  }, [])
  return (
    <div className={styles.loading} aria-busy="true">
      <div className={styles.outline} />
      <div className={styles.outline} />
      <p role="status">{isSlow ? t('states.loading') : ''}</p>
    </div>
  )
}
