// Pictures: what is computed over their samples, and the recipes that put them right.

export { decideRecipe } from './decideRecipe.ts'
export {
  differenceHash,
  findAlike,
  HASH_HEIGHT,
  HASH_WIDTH,
  hashDistance,
  isTelling,
} from './differenceHash.ts'
export { type BoardDrawing, type Drawing, MONO_FONT, SERIF_FONT, TEXT_FONT } from './drawing.ts'
export {
  alignLayers,
  boundsOf,
  boundsOfAll,
  changeLayers,
  distributeLayers,
  type Edge,
  moveLayers,
  normalTurn,
  orderLayers,
  resizeLayers,
  turnLayers,
  withGroups,
} from './arrange.ts'
export {
  type ArrowLayer,
  type Collage,
  collageSchema,
  type DrawingLayer,
  type SavedCollage,
  savedCollageSchema,
  type Layer,
  type NewCollage,
  newCollageSchema,
  type NumberLayer,
  type Pictured,
  type PictureLayer,
  type ShapeLayer,
  type TextLayer,
} from './collageSchema.ts'
export { decideCollage } from './decideCollage.ts'
export { upgradeCollage } from './upgradeCollage.ts'
export { numbersOf, picturesOf, wordsOn } from './readCollage.ts'
export { boardColours, paintCollage, cropShown, type ShownPicture } from './paintCollage.ts'
export { type PictureToPlace, placePictures } from './placePictures.ts'

export { findCorners } from './findCorners.ts'
export { type PictureFault } from './findFaults.ts'

export {
  cornersIn,
  type Geometry,
  LEAST_CROP,
  resolveGeometry,
  toOriginalPoint,
  toResultPoint,
} from './geometry.ts'
export { applyCurves, histogramOf, lightCurves } from './levels.ts'
export { IDENTITY, mapPoint, type Matrix, type Point, type Quad, rectangleToQuad, scaling } from './matrix.ts'
export { paintMarks, paintRecipeMarks, pinRadius, pinsOf } from './paintMarks.ts'
export { findPrivateRegions, type Proposal, proposeRecipe, squareStepFor } from './proposeRecipe.ts'
export { findQuadFault } from './quad.ts'
export { fitPixels, MOST_WORKED_PIXELS, type Raster, shrink, type Size } from './raster.ts'
export { concealsMore, mergeConcealment } from './mergeConcealment.ts'
export { mergeCollages, mergeRecipes } from './mergeWindows.ts'
export { refineCorners } from './refineCorners.ts'
export { runRecipe, stepOf } from './runRecipe.ts'
export {
  type Box,
  type ConcealedRegion,
  type CropStep,
  type EvenStep,
  type SavedRecipe,
  savedRecipeSchema,
  type LightStep,
  type Mark,
  type PictureRecipe,
  recipeSchema,
  type RecipeStep,
  type SquareStep,
  type StepKind,
  type TurnStep,
} from './schema.ts'
export {
  type ConcealFill,
  concealFills,
  cropShapes,
  boardSizes,
  COLLAGE_SCHEMA,
  type CollageColour,
  collageColours,
  type CollageFont,
  collageFonts,
  type CollageShape,
  collageShapes,
  type CollageSize,
  collageSizes,
  EMPTY_RECIPE,
  type LineMarkKind,
  type MarkColour,
  markColours,
  MOST_CORNERS,
  MOST_PEN_POINTS,
  MOST_PICTURES_AT_ONCE,
  MOST_STROKES,
  type PictureShape,
  pictureShapes,
} from './valueLists.ts'
export { type Guide, snapBox } from './snap.ts'
export { upgradeRecipe } from './upgradeRecipe.ts'
export { warp } from './warp.ts'
export { finish } from './work.ts'
