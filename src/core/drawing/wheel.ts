/** A cell of the wall: which thing, and where it lies. In the units of the wall. */
export interface WheelCell {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How far a line of cells is from squares: the worst side over the other. */
function worstAspect(areas: readonly number[], sum: number, length: number): number {
  const thickness = sum / length;
  let worst = 1;
  for (const area of areas) {
    const along = area / thickness;
    worst = Math.max(worst, along / thickness, thickness / along);
  }
  return worst;
}

/**
 * Lays things out on a wall in their order, each with an area in proportion to its amount: columns from left
 * to right, filled from top to bottom, as near to squares as the order allows (a strip treemap after
 * Bederson, Shneiderman and Wattenberg, 2002). The cells fill the wall; what has no amount gets no cell.
 */
export function layOutWheel(amounts: readonly number[], width: number, height: number): WheelCell[] {
  const total = amounts.reduce((sum, amount) => sum + Math.max(0, amount), 0);
  if (!(total > 0) || !(width > 0) || !(height > 0)) return [];
  const perAmount = (width * height) / total;
  interface Column {
    readonly members: { index: number; area: number }[];
    sum: number;
  }
  const worst = ({ members, sum }: Column) =>
    worstAspect(
      members.map((one) => one.area),
      sum,
      height,
    );
  const merge = (a: Column, b: Column): Column => ({ members: [...a.members, ...b.members], sum: a.sum + b.sum });
  const columns: Column[] = [];
  for (const [index, amount] of amounts.entries()) {
    const area = Math.max(0, amount) * perAmount;
    if (area <= 0) continue;
    const alone: Column = { members: [{ index, area }], sum: area };
    const last = columns.at(-1);
    const wider = last && merge(last, alone);
    // One more makes the column thicker and its cells flatter; where that is worse, a new column begins.
    if (last && wider && worst(wider) <= worst(last)) {
      last.members.push(alone.members[0]!);
      last.sum = wider.sum;
    } else columns.push(alone);
  }
  // What was left over for the last column may be a sliver.
  const [before, end] = columns.slice(-2);
  if (before && end && worst(merge(before, end)) < Math.max(worst(before), worst(end)))
    columns.splice(-2, 2, merge(before, end));

  const cells: WheelCell[] = [];
  let x = 0;
  for (const { members, sum } of columns) {
    const thickness = sum / height;
    let y = 0;
    for (const { index, area } of members) {
      const tall = area / thickness;
      cells.push({ index, x, y, width: thickness, height: tall });
      y += tall;
    }
    x += thickness;
  }
  return cells;
}

/** The cell at a point, found by its column first; null beside the wall. */
export function findWheelCell(cells: readonly WheelCell[], x: number, y: number): WheelCell | null {
  let [low, high] = [0, cells.length];
  // Columns run from left to right and cells down them: the last cell that begins at or before the point.
  while (low < high) {
    const middle = (low + high) >>> 1;
    const cell = cells[middle]!;
    if (cell.x > x || (cell.x + cell.width > x && cell.y > y)) high = middle;
    else low = middle + 1;
  }
  const cell = cells[low - 1];
  return cell && x < cell.x + cell.width && y < cell.y + cell.height ? cell : null;
}
