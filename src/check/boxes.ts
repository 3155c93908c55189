/** A box as it is to be packed, in plain figures. */
interface Box {
  readonly innerMm3: number;
  readonly sizeId: string;
  readonly lots: readonly {
    readonly id: string;
    readonly mm3: number;
    readonly massG: number;
    readonly class: string;
  }[];
}

/** What is wrong with boxes that were packed. */
export interface BoxFinding {
  readonly code: 'twice' | 'too-heavy' | 'too-full' | 'mixed' | 'too-many' | 'missing' | 'empty';
  readonly box: number;
}

/**
 * Goes over boxes by plain sums: each thing is in one box or left out by name, no box weighs more than one carries or holds more than is
 * in it, liquids and blades are alone, and there are no more boxes than there are.
 */
export function checkBoxes(
  boxes: readonly Box[],
  looseIds: readonly string[],
  allIds: readonly string[],
  liftG: number,
  counts: ReadonlyMap<string, number>,
): BoxFinding[] {
  const findings: BoxFinding[] = [];
  const seen = new Set(looseIds);
  const used = new Map<string, number>();
  for (const [n, { lots, innerMm3, sizeId }] of boxes.entries()) {
    used.set(sizeId, (used.get(sizeId) ?? 0) + 1);
    if (lots.length === 0) findings.push({ code: 'empty', box: n });
    for (const { id } of lots) {
      if (seen.has(id)) findings.push({ code: 'twice', box: n });
      seen.add(id);
    }
    if (lots.reduce((sum, { massG }) => sum + massG, 0) > liftG + 1e-6) findings.push({ code: 'too-heavy', box: n });
    if (lots.reduce((sum, { mm3 }) => sum + mm3, 0) > innerMm3 * 1.001) findings.push({ code: 'too-full', box: n });
    if (new Set(lots.map((lot) => lot.class)).size > 1) findings.push({ code: 'mixed', box: n });
  }
  for (const [id, count] of used) if (count > (counts.get(id) ?? 0)) findings.push({ code: 'too-many', box: -1 });
  for (const id of allIds) if (!seen.has(id)) findings.push({ code: 'missing', box: -1 });
  return findings;
}
