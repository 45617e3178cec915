// What the bar of every tool is given.
import type { PictureRecipe } from '@valise/core/pictures'

export interface ToolBarProps {
  readonly recipe: PictureRecipe
  /** Shows a recipe while something moves. */
  readonly onShow: (recipe: PictureRecipe) => void
  /** Keeps it. */
  readonly onSave: (recipe: PictureRecipe) => void
}

export interface LightBarProps extends ToolBarProps {
  readonly grey: Uint32Array | null
}

/** Formats a number with its sign. */
export function signed(value: number): string {
  return value > 0 ? `+${value}` : String(value)
}
