// The list of the kinds of things that passes are given for, with how a visitor reads one.
import { useQuery } from '@tanstack/react-query'
import type { SharedKind } from '@valise/core/things'
import type { ComponentType } from 'react'
import { accessQueries } from './queries.ts'
import { ReadCollection } from './ReadCollection.tsx'
import { ReadPage } from './ReadPage.tsx'

interface Reader {
  /** Whether one may read it: by one query, since a visitor goes from one kind to the other on the same screen. */
  useReading(id: string): { readonly data: object | undefined; readonly error: Error | null }
  readonly Read: ComponentType<{ readonly id: string }>
}

export const readersByKind = {
  page: { useReading: (id) => useQuery(accessQueries.page(id)), Read: ReadPage },
  collection: { useReading: (id) => useQuery(accessQueries.collection(id)), Read: ReadCollection },
} satisfies Record<SharedKind, Reader>
