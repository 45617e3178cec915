// The first letters of a name, where there is no picture. Assessors and students differ in colour and in words.
import { initialsOf } from '@valise/core/people'
import styles from './Avatar.module.css'

interface AvatarProps {
  readonly name: string
  readonly kind: 'student' | 'staff'
  readonly size?: 'usual' | 'large'
}

export function Avatar({ name, kind, size = 'usual' }: AvatarProps) {
  return (
    <span className={styles.avatar} data-kind={kind} data-size={size} aria-hidden="true">
      {initialsOf(name)}
    </span>
  )
}
