import { computePackages, getWholeLot } from '../measure/index.ts';
import type { Household, StowForm } from '../records/index.ts';
import type { Group } from './groups.ts';

/** Side by side in one form: thickness summed, mm. */
export interface FormNeed {
  readonly form: StowForm;
  readonly mm: number;
  /** Not every lot can be kept in this form; the others stand there in one of their own. */
  readonly isMixed: boolean;
}

/** Space a group takes, by the way it is kept; null where some lot cannot be kept that way. */
export interface GroupNeeds {
  /** Side by side, in each form that all its lots allow: boards, files, envelopes, spools, boxes, rolls, a rail. */
  readonly lines: readonly FormNeed[];
  /** How many rows of the household's middling drawer the first of these would take. */
  readonly drawer: { readonly rows: number; readonly widthMm: number } | null;
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
/** What stands in rows in a drawer. */
const IN_DRAWERS: ReadonlySet<StowForm> = new Set(['envelope', 'spool', 'file', 'box']);
/** Usable share of a bin: hard things as they pack by hand, soft ones as they settle. */
const RIGID_USE = 0.62;
const SOFT_USE = 0.75;

/** The width of the middle one of all drawers; null where there is none. */
function findDrawerMm({ places }: Household): number | null {
  const widths = [...places.values()].flatMap(({ slot }) => (slot?.opening === 'drawer' ? [slot.widthMm] : []));
  return widths.toSorted((a, b) => a - b)[widths.length >> 1] ?? null;
}

/** Adds up what every lot of the group needs in each way of keeping it. */
export function computeNeeds(group: Group, household: Household): GroupNeeds {
  let pileMm: number | null = 0;
  let volumeMm3: number | null = 0;
  let pegMm2: number | null = 0;
  let [pieces, massG] = [0, 0];
  /** By form: how many lots it suits, and what they take in it. */
  const suits = new Map<StowForm, { lots: number; mm: number }>();
  let mixed: { mm: number; forms: Map<StowForm, number> } | null = { mm: 0, forms: new Map() };
  for (const lot of group.lots) {
    const item = household.items.get(lot.itemId);
    const packages = item ? computePackages(item, getWholeLot(household, lot), household.settings) : [];
    pieces += lot.count;
    massG += packages[0]?.massG ?? 0;
    let first: StowForm | null = null;
    for (const form of LINE_ORDER) {
      const pkg = packages.find((one) => one.form === form);
      if (!pkg) continue;
      const known = suits.get(form) ?? { lots: 0, mm: 0 };
      const mm = (pkg.form === 'box' ? Math.min(pkg.alongMm, pkg.acrossMm) : pkg.alongMm) * pkg.pieces;
      suits.set(form, { lots: known.lots + 1, mm: known.mm + mm });
      if (first === null && mixed) {
        mixed.mm += mm;
        mixed.forms.set(form, (mixed.forms.get(form) ?? 0) + 1);
      }
      first ??= form;
    }
    if (first === null) mixed = null;
    const stack = packages.find((pkg) => pkg.form === 'stack');
    pileMm = stack && pileMm !== null ? pileMm + stack.heightMm * stack.pieces : null;
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
  const lines = LINE_ORDER.flatMap((form): FormNeed[] => {
    const of = suits.get(form);
    return of?.lots === group.lots.length ? [{ form, mm: of.mm, isMixed: false }] : [];
  });
  if (lines.length === 0 && mixed && mixed.forms.size > 0) {
    const [[form]] = [...mixed.forms].toSorted((a, b) => b[1] - a[1]) as [[StowForm, number]];
    lines.push({ form, mm: mixed.mm, isMixed: true });
  }
  const drawerMm = findDrawerMm(household);
  const inRows = lines.find(({ form }) => IN_DRAWERS.has(form));
  const drawer = drawerMm && inRows ? { rows: Math.ceil(inRows.mm / drawerMm - 1e-9), widthMm: drawerMm } : null;
  return { lines, drawer, pileMm, volumeMm3, pegMm2, pieces, massG };
}
