// Recipes that the server has not got yet, kept on this device over a reload.
import type { PictureRecipe } from '@valise/core/pictures'
import type { VersionOfItem } from './queries.ts'

const keyOf = ({ id, n }: VersionOfItem) => `valise-recipe-${id}-${n}`

export function rememberRecipe(of: VersionOfItem, recipe: PictureRecipe): void {
  localStorage.setItem(keyOf(of), JSON.stringify(recipe))
}

export function rememberedRecipe(of: VersionOfItem): PictureRecipe | null {
  const text = localStorage.getItem(keyOf(of))
  return text === null ? null : JSON.parse(text)
}

export function forgetRecipe(of: VersionOfItem): void {
  localStorage.removeItem(keyOf(of))
}
