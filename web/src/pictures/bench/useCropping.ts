// The box of a crop: its shape, lying or standing, and its exact size.
import { stepOf } from '@valise/core/pictures'
import type { CropStep } from '@valise/core/pictures'
import { fitShape } from './boxes.ts'
import { withStep } from './recipeChanges.ts'
import { plainCrop, ratioOf } from './steps.ts'
import type { CropBarProps } from './CropBar.tsx'

export function useCropping({ recipe, size, onSave }: Omit<CropBarProps, 'onShow'>) {
  const step = stepOf(recipe.steps, 'crop') ?? plainCrop
  const pixels = {
    x: step.box.x * size.width,
    y: step.box.y * size.height,
    width: step.box.width * size.width,
    height: step.box.height * size.height,
  }
  const put = (shape: CropStep['shape'], box: typeof pixels) =>
    onSave(
      withStep(recipe, {
        ...{ kind: 'crop', on: true, shape },
        box: {
          x: box.x / size.width,
          y: box.y / size.height,
          width: Math.min(1, box.width / size.width),
          height: Math.min(1, box.height / size.height),
        },
      }),
    )
  const choose = (shape: CropStep['shape']) => {
    const ratio = ratioOf({ ...step, shape }, size)
    put(shape, ratio === null ? pixels : fitShape(pixels, ratio))
  }
  const turn = () => {
    const ratio = pixels.height / pixels.width
    put(step.shape, fitShape({ x: 0, y: 0, ...size }, ratio))
  }
  const exact = (side: 'width' | 'height', value: number) => {
    const most = side === 'width' ? size.width - pixels.x : size.height - pixels.y
    if (value >= 2) put('exact', { ...pixels, [side]: Math.min(value, most) })
  }
  return { step, pixels, choose, turn, exact }
}
