export type { Figure, Ink, Shape, TextInk } from './shapes.ts';
export { computePlaceState, computeWallDrawing, type PlaceState, type WallDrawing, type WallView } from './wall.ts';
