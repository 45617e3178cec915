// The bench's tools, each under the question that it answers.
import {
  IconBrightnessUp,
  IconContrast,
  IconCrop,
  IconHighlight,
  IconMessage2,
  IconPencil,
  IconPerspective,
  IconPinned,
  IconRotateClockwise,
  IconTypography,
} from '@tabler/icons-react'
import type { Icon } from '@tabler/icons-react'
import type { StepKind } from '@valise/core/pictures'
import { RedactIcon } from './RedactIcon.tsx'

export const questions = ['straight', 'light', 'named', 'notice'] as const
export type Question = (typeof questions)[number]

/** The tools that make marks: three tools for one step of the recipe. */
const markTools = ['draw', 'write', 'point'] as const
export type MarkTool = (typeof markTools)[number]
/** Speaking is not a step: a voice is stored beside the picture. */
export type ToolKind = Exclude<StepKind, 'mark'> | MarkTool | 'speak'

export interface Tool {
  readonly kind: ToolKind
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
  { kind: 'draw', question: 'notice', icon: IconPencil },
  { kind: 'write', question: 'notice', icon: IconTypography },
  { kind: 'point', question: 'notice', icon: IconPinned },
  { kind: 'speak', question: 'notice', icon: IconMessage2 },
]

export function iconOf(kind: StepKind): Tool['icon'] {
  return kind === 'mark' ? IconHighlight : (tools.find((tool) => tool.kind === kind)?.icon ?? IconCrop)
}

export function isMarkTool(kind: ToolKind | null): kind is MarkTool {
  return markTools.some((one) => one === kind)
}

/** Returns the tool of a step. */
export function toolOf(kind: StepKind): ToolKind {
  return kind === 'mark' ? 'draw' : kind
}

/** Returns the step of a tool; null for none. */
export function stepOfTool(kind: ToolKind): StepKind | null {
  if (kind === 'speak') return null
  return isMarkTool(kind) ? 'mark' : kind
}
