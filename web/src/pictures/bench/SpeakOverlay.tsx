// What a voice points at: places on the picture, numbered, with the one that was reached last standing out.
import { mapPoint } from '@valise/core/pictures'
import type { Geometry } from '@valise/core/pictures'
import type { Speaking } from '../../evidence/voices/index.ts'
import { placeOf } from './Handle.tsx'
import { cornersOf } from './regions.ts'
import styles from './Handles.module.css'

export function SpeakOverlay({
  speaking,
  geometry,
}: {
  readonly speaking: Speaking
  readonly geometry: Geometry
}) {
  const { size, toResult, toOriginal } = geometry
  return (
    <div
      className={styles.surface}
      data-drawing={speaking.isRecording}
      onPointerDown={(event) => {
        const spot = cornersOf([placeOf(event, event.currentTarget, size)], toOriginal)[0]
        if (spot) speaking.point(spot, null)
      }}
    >
      {speaking.moments.map(({ spot }, n) => {
        if (!spot) return null
        const { x, y } = mapPoint(toResult, { x: spot[0], y: spot[1] })
        return (
          <span
            key={n}
            className={styles.moment}
            data-current={n === speaking.current}
            style={{ left: `${(x / size.width) * 100}%`, top: `${(y / size.height) * 100}%` }}
            aria-hidden
          >
            {n + 1}
          </span>
        )
      })}
    </div>
  )
}
