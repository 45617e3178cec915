// The bench's tools, each under the question that it answers.
import {
  IconBrightnessUp,
  IconContrast,
  IconCrop,
  IconPerspective,
  IconRotateClockwise,
} from '@tabler/icons-react'
import type { Icon } from '@tabler/icons-react'
import type { StepKind } from '@valise/core/pictures'
import { RedactIcon } from './RedactIcon.tsx'

export const questions = ['straight', 'light', 'named'] as const
export type Question = (typeof questions)[number]

export interface Tool {
  readonly kind: StepKind
  readonly question: Question
  readonly icon: Icon | typeof RedactIcon
}

export const tools: readonly Tool[] = [
  { kind: 'turn', question: 'straight', icon: IconRotateClockwise },
  { kind: 'square', question: 'straight', icon: IconPerspective },
  { kind: 'crop', question: 'straight', icon: IconCrop },
  { kind: 'even', question: 'light', icon: IconContrast },
  { kind: 'light', question: 'light', icon: IconBrightnessUp },
  { kind: 'conceal', question: 'named', icon: RedactIcon },
]

export function iconOf(kind: StepKind): Tool['icon'] {
  return tools.find((tool) => tool.kind === kind)?.icon ?? IconCrop
}
