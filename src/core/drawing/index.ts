export { getDrawnPrint, PRINT_TILES, type DrawnPrint } from './prints.ts';
export type { Figure, Ink, Shape, TextInk } from './shapes.ts';
export type { Layer, WallView } from './front.ts';
export { computeWallDrawing, drawWallInSlices, type WallDrawing } from './wall.ts';
export { findWheelCell, layOutWheel, type WheelCell } from './wheel.ts';
