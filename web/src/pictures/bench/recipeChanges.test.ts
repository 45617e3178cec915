import { EMPTY_RECIPE } from '@valise/core/pictures'
import type { RecipeStep } from '@valise/core/pictures'
import {
  regionsOf,
  recipeForOther,
  withMarks,
  withoutStep,
  withRegions,
  withStep,
  withSwitch,
} from './recipeChanges.ts'
import { plainCrop, plainEven, plainSquare, plainTurn } from './steps.ts'

const kinds = ({ steps }: { steps: RecipeStep[] }) => steps.map(({ kind }) => kind)
const region = {
  corners: [
    [0, 0],
    [9, 0],
    [9, 9],
  ] as [number, number][],
  radius: 0,
  fill: 'cover' as const,
  seed: 1,
}
const pin = { id: 'p', kind: 'pin' as const, at: [1, 2] as [number, number], region: null, note: 'a crab' }

describe('a recipe', () => {
  it('keeps each step where it was first taken, however often it is changed', () => {
    let recipe = withStep(withStep(EMPTY_RECIPE, plainTurn), plainEven)
    recipe = withStep(recipe, { ...plainTurn, quarters: 2 })
    expect(kinds(recipe)).toEqual(['turn', 'even'])
    expect(recipe.steps[0]).toMatchObject({ quarters: 2 })
    recipe = withSwitch(recipe, 'even', false)
    expect(recipe.steps[1]).toMatchObject({ on: false, strength: plainEven.strength })
    expect(kinds(withoutStep(recipe, 'turn'))).toEqual(['even'])
  })

  it('has no step without parts, and none without marks', () => {
    const recipe = withMarks(withRegions(EMPTY_RECIPE, [region]), [pin])
    expect(kinds(recipe)).toEqual(['conceal', 'mark'])
    expect(regionsOf(recipe)).toEqual([region])
    expect(kinds(withMarks(withRegions(recipe, []), []))).toEqual([])
  })

  it('goes to another picture without marks, and with places only where the size is the same', () => {
    const whole = withMarks(withRegions(withStep(withStep(EMPTY_RECIPE, plainSquare), plainCrop), [region]), [
      pin,
    ])
    expect(kinds(recipeForOther(whole, true))).toEqual(['square', 'crop', 'conceal'])
    expect(kinds(recipeForOther(whole, false))).toEqual(['crop'])
  })
})
