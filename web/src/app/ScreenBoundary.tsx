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

/**
 * Shows an error instead of a broken screen. Its key must change with the screen, so that the next one starts anew.
 */
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

/** Returns whether an error means that a script could not be fetched; browsers tell it only by its message. */
function isNotFetched(error: unknown): boolean {
  return (
    error instanceof Error &&
    /dynamically imported module|module script failed|preload CSS/i.test(error.message)
  )
}
