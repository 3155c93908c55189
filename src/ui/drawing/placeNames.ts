/** A name to be written on a drawing: where its middle would be, and how wide it is; pixels. */
interface Name {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/** Height of a line of text with a little air. */
const LINE_PX = 17;
/** Tried one after the other: where it belongs, then below, above, and further. */
const SHIFTS = [0, 1, -1, 2, -2, 3, -3];

/** How far down each name goes so that it lies over none before it, pixels; 0 where that was not found. */
export function placeNames(names: readonly Name[]): number[] {
  const placed: { x: number; y: number; width: number }[] = [];
  const isFree = (name: Name, y: number) =>
    placed.every(
      (other) => Math.abs(other.y - y) >= LINE_PX || Math.abs(other.x - name.x) >= (other.width + name.width) / 2,
    );
  return names.map((name) => {
    const shift = SHIFTS.find((lines) => isFree(name, name.y + lines * LINE_PX)) ?? 0;
    placed.push({ ...name, y: name.y + shift * LINE_PX });
    return shift * LINE_PX;
  });
}
