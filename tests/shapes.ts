import type { Shape } from '../src/core/drawing/index.ts';

/** The box around a shape. */
export function boxOf(shape: Shape): [number, number, number, number] {
  if (shape.type === 'rect') return [shape.x, shape.y, shape.x + shape.width, shape.y + shape.height];
  if (shape.type === 'circle')
    return [shape.x - shape.radius, shape.y - shape.radius, shape.x + shape.radius, shape.y + shape.radius];
  if (shape.type === 'path') {
    const [xs, ys] = [shape.points.map((point) => point[0]), shape.points.map((point) => point[1])];
    return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
  }
  return [shape.x, shape.y, shape.x, shape.y];
}
