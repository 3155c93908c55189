import { computePackages, getWholeLot } from '../measure/index.ts';
import type { Household, StowForm } from '../records/index.ts';
import type { Group } from './groups.ts';

/** Space a group takes, by the way it is kept; null where some lot cannot be kept that way. */
export interface GroupNeeds {
  /** Side by side: boards, files, envelopes, spools, boxes. Thickness summed, mm. */
  readonly lineMm: number | null;
  readonly lineForm: StowForm | null;
  /** Folded flat: height of the pile, mm. */
  readonly pileMm: number | null;
  /** In bins and drawers, with the air between: mm³. */
  readonly volumeMm3: number | null;
  /** Hung up: rectangles, mm². */
  readonly pegMm2: number | null;
  readonly pieces: number;
  readonly massG: number;
}

const LINE_ORDER: readonly StowForm[] = ['board', 'envelope', 'spool', 'file', 'box', 'roll', 'hanger', 'bag'];
/** Usable share of a bin: hard things as they pack by hand, soft ones as they settle. */
const RIGID_USE = 0.62;
const SOFT_USE = 0.75;

/** Adds up what every lot of the group needs in each way of keeping it. */
export function computeNeeds(group: Group, household: Household): GroupNeeds {
  let lineMm: number | null = 0;
  let pileMm: number | null = 0;
  let volumeMm3: number | null = 0;
  let pegMm2: number | null = 0;
  let [pieces, massG] = [0, 0];
  const forms = new Map<StowForm, number>();
  for (const lot of group.lots) {
    const item = household.items.get(lot.itemId);
    const packages = item ? computePackages(item, getWholeLot(household, lot), household.settings) : [];
    pieces += lot.count;
    massG += packages[0]?.massG ?? 0;
    const line = LINE_ORDER.flatMap((form) => packages.find((pkg) => pkg.form === form) ?? [])[0];
    if (line) forms.set(line.form, (forms.get(line.form) ?? 0) + 1);
    lineMm = line && lineMm !== null ? lineMm + line.alongMm * line.pieces : null;
    const stack = packages.find((pkg) => pkg.form === 'stack');
    pileMm = stack && pileMm !== null ? pileMm + stack.heightMm : null;
    const boxed =
      packages.find((pkg) => pkg.isSoft) ??
      packages.find((pkg) => pkg.form !== 'peg' && pkg.form !== 'board' && pkg.form !== 'roll');
    volumeMm3 =
      boxed && volumeMm3 !== null
        ? volumeMm3 +
          (boxed.alongMm * boxed.acrossMm * boxed.heightMm * boxed.pieces) / (boxed.isSoft ? SOFT_USE : RIGID_USE)
        : null;
    const peg = packages.find((pkg) => pkg.form === 'peg');
    pegMm2 = peg && pegMm2 !== null ? pegMm2 + peg.alongMm * peg.heightMm * peg.pieces : null;
  }
  const lineForm = [...forms].toSorted((a, b) => b[1] - a[1])[0]?.[0] ?? null;
  return { lineMm, lineForm, pileMm, volumeMm3, pegMm2, pieces, massG };
}
