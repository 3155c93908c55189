import { computeOutlineArea, cutStrip, meetStretches, type Hole, type Point, type Stretch } from '../layout/index.ts';

/** What is cut: what is common to the outlines of scraps that lie on each other, without their holes; mm, the grain along y. */
export interface Region {
  readonly outlines: readonly (readonly Point[])[];
  readonly holes: readonly Hole[];
}

/** Whether bands run along the grain, side by side across it; or across the grain, one below the other. */
export type Direction = 'along' | 'across';

const swap = ({ xMm, yMm }: Point): Point => ({ xMm: yMm, yMm: xMm });

/** The same region lying on its side, so that bands always run along y. */
export function turnRegion({ outlines, holes }: Region): Region {
  return {
    outlines: outlines.map((outline) => outline.map(swap)),
    holes: holes.map(({ xMm, yMm, widthMm, heightMm }) => ({
      xMm: yMm,
      yMm: xMm,
      widthMm: heightMm,
      heightMm: widthMm,
    })),
  };
}

/** The region turned by so many degrees, and moved so that its box begins at 0: the grain runs along y then. */
export function alignRegion({ outlines, holes }: Region, degrees: number): Region {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  const turn = ({ xMm, yMm }: Point): Point => ({ xMm: xMm * cos - yMm * sin, yMm: xMm * sin + yMm * cos });
  const turned = outlines.map((outline) => outline.map(turn));
  const all = turned.flat();
  const [left, top] = [Math.min(...all.map((p) => p.xMm)), Math.min(...all.map((p) => p.yMm))];
  const move = ({ xMm, yMm }: Point): Point => ({ xMm: xMm - left, yMm: yMm - top });
  return {
    outlines: turned.map((outline) => outline.map(move)),
    // The box round a hole that is turned: it only takes more.
    holes: holes.map(({ xMm, yMm, widthMm, heightMm }) => {
      const corners = [
        { xMm, yMm },
        { xMm: xMm + widthMm, yMm },
        { xMm: xMm + widthMm, yMm: yMm + heightMm },
        { xMm, yMm: yMm + heightMm },
      ].map((corner) => move(turn(corner)));
      const [x, y] = [Math.min(...corners.map((p) => p.xMm)), Math.min(...corners.map((p) => p.yMm))];
      return {
        xMm: x,
        yMm: y,
        widthMm: Math.max(...corners.map((p) => p.xMm)) - x,
        heightMm: Math.max(...corners.map((p) => p.yMm)) - y,
      };
    }),
  };
}

/** The box that holds all of it, mm. */
export function measureRegion({ outlines }: Region): { readonly widthMm: number; readonly heightMm: number } {
  // What is common to several lies within the least of them.
  const most = (of: (point: Point) => number) => Math.min(...outlines.map((outline) => Math.max(...outline.map(of))));
  return { widthMm: most(({ xMm }) => xMm), heightMm: most(({ yMm }) => yMm) };
}

/** At most so much can be cut of it, mm²: the least of its scraps. */
export const computeRegionArea = ({ outlines }: Region): number => Math.min(...outlines.map(computeOutlineArea));

/** Where a band between two lines along y lies in the region wholly: from and to along it, mm. */
export function cutBand({ outlines, holes }: Region, fromMm: number, toMm: number): readonly Stretch[] {
  let free: readonly Stretch[] | null = null;
  for (const outline of outlines) {
    const { inner } = cutStrip(outline, fromMm, toMm);
    free = free === null ? inner : meetStretches(free, inner);
    if (free.length === 0) return [];
  }
  for (const { xMm, yMm, widthMm, heightMm } of holes) {
    if (xMm >= toMm || xMm + widthMm <= fromMm) continue;
    free = meetStretches(free ?? [], [
      [-Infinity, yMm],
      [yMm + heightMm, Infinity],
    ]);
  }
  return free ?? [];
}
