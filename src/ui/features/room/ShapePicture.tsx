import type { RoomShape } from '../../../core/room/index.ts';

const OUTLINE: Readonly<Record<RoomShape, string>> = {
  rectangle: 'M6 6H50V34H6Z',
  ell: 'M6 6H32V20H50V34H6Z',
  roof: 'M6 34V20L18 6H50V34Z',
  corner: 'M6 34V6H50',
  closet: 'M14 8H42V32M14 8V32',
};
const MORE: Readonly<Partial<Record<RoomShape, string>>> = {
  corner: 'M50 6V34H6',
  closet: 'M14 32H42',
};

/** A shape of a room, small; what is open is dashed. */
export function ShapePicture({ shape }: { shape: RoomShape }) {
  return (
    <svg aria-hidden viewBox="0 0 56 40" className="mx-auto mb-1 block h-10 w-14">
      <path d={OUTLINE[shape]} fill="none" stroke="var(--color-ink)" strokeWidth="3" />
      {MORE[shape] && (
        <path d={MORE[shape]} fill="none" stroke="var(--color-stone)" strokeWidth="1.5" strokeDasharray="4 3" />
      )}
    </svg>
  );
}
