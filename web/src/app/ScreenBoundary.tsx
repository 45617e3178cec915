// What breaks within a screen breaks there: the frame around it stays, with the way to every other place.
import { Component } from 'react'
import type { ReactNode } from 'react'
import { Broken } from './Broken.tsx'
import { reloadOnce } from './reloadOnce.ts'
import { ScreenAway } from './ScreenAway.tsx'

interface ScreenBoundaryProps {
  readonly children: ReactNode
}

interface ScreenBoundaryState {
  readonly error: unknown
}

/** Give it a key that changes with the screen, so that another one begins anew. */
export class ScreenBoundary extends Component<ScreenBoundaryProps, ScreenBoundaryState> {
  override state: ScreenBoundaryState = { error: null }

  static getDerivedStateFromError(error: unknown): ScreenBoundaryState {
    return { error }
  }

  override render() {
    const { error } = this.state
    if (error === null) return this.props.children
    // A part of the screen could not be fetched. React remembers that, so only a fresh page can have it again.
    return isNotFetched(error) ? <ScreenAway onTry={reloadOnce} /> : <Broken />
  }
}

/** Browsers say it in words alone, each in its own. */
export function isNotFetched(error: unknown): boolean {
  return (
    error instanceof Error &&
    /dynamically imported module|module script failed|preload CSS/i.test(error.message)
  )
}
