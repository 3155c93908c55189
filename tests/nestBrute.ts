/**
 * Most upright boxes of one size on a floor, found by trying every box at every whole millimetre step of `stepMm`,
 * first free spot first: slow, and right for whole sizes. Sides are whole multiples of the step.
 */
export function countByTrying(width: number, depth: number, a: number, b: number, canTurn: boolean): number {
  const most = Math.floor((width * depth) / (a * b));
  const taken = new Uint8Array(width * depth);
  let best = 0;
  const put = (x: number, y: number, w: number, d: number, to: 0 | 1): boolean => {
    if (x + w > width || y + d > depth) return false;
    if (to === 1)
      for (let j = y; j < y + d; j += 1) for (let i = x; i < x + w; i += 1) if (taken[j * width + i]) return false;
    for (let j = y; j < y + d; j += 1) for (let i = x; i < x + w; i += 1) taken[j * width + i] = to;
    return true;
  };
  // Every cell in turn is the lower left corner of a box, of a turned one, or of none; wasted cells are counted.
  const search = (cell: number, count: number, wasted: number): void => {
    best = Math.max(best, count);
    if (best === most) return;
    let at = cell;
    while (at < taken.length && taken[at]) at += 1;
    if (at >= taken.length || Math.floor((width * depth - wasted) / (a * b)) <= best) return;
    const [x, y] = [at % width, Math.floor(at / width)];
    for (const [w, d] of canTurn && a !== b ? [[a, b] as const, [b, a] as const] : [[a, b] as const])
      if (put(x, y, w, d, 1)) {
        search(at + 1, count + 1, wasted);
        put(x, y, w, d, 0);
      }
    taken[at] = 1;
    search(at + 1, count, wasted + 1);
    taken[at] = 0;
  };
  search(0, 0, 0);
  return best;
}
