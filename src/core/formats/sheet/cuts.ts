import { listCutLines, measureRegion, type Region, type ScrapPlan } from '../../scraps/index.ts';
import { formatSize, type UnitSystem } from '../../units/index.ts';
import { createTiles } from './tiles.ts';
import type { Mark, Sheet } from './sheet.ts';

const RED = '#a63d32';

/** Pages at full size that are laid on a scrap, or glued together: its outline, its pieces, and the cuts from edge to edge with their numbers. */
export function createCutTiles(plan: ScrapPlan, region: Region, name: string, units: UnitSystem): Sheet[] {
  const { widthMm, heightMm } = measureRegion(region);
  const isAlong = plan.direction === 'along';
  const outlines = region.outlines.map((outline): Mark => ({
    type: 'path',
    points: outline.map(({ xMm, yMm }) => [xMm, yMm] as const),
    isClosed: true,
    strokeMm: 0.6,
  }));
  const pieces = plan.pieces.flatMap((piece): Mark[] => {
    const [x, y, w, h] = [piece.xMm, piece.yMm, piece.widthMm, piece.heightMm];
    return [
      {
        type: 'path',
        points: [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ],
        isClosed: true,
        strokeMm: 0.3,
      },
      {
        type: 'text',
        x: x + w / 2,
        y: y + h / 2 + 1.5,
        text: formatSize(piece.size.sideMm, units),
        sizeMm: 4,
        anchor: 'middle',
      },
    ];
  });
  const cuts = listCutLines(plan).flatMap((mm, n): Mark[] => {
    const ends = isAlong ? [[mm, 0] as const, [mm, heightMm] as const] : [[0, mm] as const, [widthMm, mm] as const];
    const at = isAlong ? { x: mm + 1, y: 6 } : { x: 1, y: mm - 1 };
    return [
      { type: 'path', points: ends, isClosed: false, strokeMm: 0.5, stroke: RED, dashMm: 4 },
      { type: 'text', ...at, text: String(n + 1), sizeMm: 6, anchor: 'start' },
    ];
  });
  return createTiles([...outlines, ...pieces, ...cuts], widthMm, heightMm, name, units);
}
