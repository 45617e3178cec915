// Pictures: what is computed over their samples, and the recipes that put them right.
export { conceal } from './conceal.ts'
export { decideRecipe } from './decideRecipe.ts'
export {
  differenceHash,
  findAlike,
  HASH_HEIGHT,
  HASH_WIDTH,
  hashDistance,
  isTelling,
  MOST_DIFFERENCE,
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
  layerSchema,
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
export { inReadingOrder, numbersOf, picturesOf, wordsOn } from './readCollage.ts'
export {
  arrowPoints,
  boardColours,
  paintCollage,
  type Painter,
  cropShown,
  readableOn,
  type ShownPicture,
} from './paintCollage.ts'
export { type PictureToPlace, placePictures } from './placePictures.ts'
export { evenOut, type LightMap, mapLight } from './evenOut.ts'
export { findCorners, type FoundSheet } from './findCorners.ts'
export { findFaults, type PictureFault, pictureFaults } from './findFaults.ts'
export { findPrivate, type WritingFound } from './findPrivate.ts'
export {
  cornersIn,
  type Geometry,
  LEAST_CROP,
  resolveGeometry,
  toOriginalPoint,
  toResultPoint,
} from './geometry.ts'
export { applyCurves, histogramOf, type Levels, lightCurves } from './levels.ts'
export {
  IDENTITY,
  invert,
  mapPoint,
  type Matrix,
  moving,
  type Point,
  type Quad,
  rectangleToQuad,
  scaling,
  turning,
} from './matrix.ts'
export { paintMarks, paintRecipeMarks, pinRadius, pinsOf, toFragment } from './paintMarks.ts'
export { findPrivateRegions, type Proposal, proposeRecipe, squareStepFor } from './proposeRecipe.ts'
export { findQuadFault, orderCorners, type QuadFault } from './quad.ts'
export { fitPixels, fitSize, MOST_WORKED_PIXELS, type Raster, shrink, type Size } from './raster.ts'
export { concealsMore, mergeConcealment } from './mergeConcealment.ts'
export { mergeBase, mergeCollages, mergeRecipes } from './mergeWindows.ts'
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
  type PinMark,
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
  lineMarks,
  type MarkColour,
  markColours,
  MOST_CORNERS,
  MOST_LAYERS,
  MOST_MARKS,
  MOST_PARTS,
  MOST_PEN_POINTS,
  MOST_PICTURES_AT_ONCE,
  MOST_STROKES,
  type PictureShape,
  pictureShapes,
} from './valueLists.ts'
export { type Guide, snapBox, type Snapped } from './snap.ts'
export { upgradeRecipe } from './upgradeRecipe.ts'
export { warp } from './warp.ts'
export { finish, type Work } from './work.ts'
