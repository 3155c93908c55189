import type {
  Change,
  Household,
  Label,
  Lot,
  LotId,
  Place,
  PlaceId,
  Project,
  ProjectId,
  Saying,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createCode } from './code.ts';
import { listPlaceSayings, type PlaceContent } from './content.ts';
import type { Act } from '../acts/index.ts';
import { createChange } from '../daybook/index.ts';

/** What a label is of, and what it is to say. */
export interface Labelled {
  readonly of:
    | { readonly kind: 'place'; readonly id: PlaceId }
    | { readonly kind: 'lot'; readonly id: LotId }
    | { readonly kind: 'project'; readonly id: ProjectId };
  readonly says: readonly Saying[];
  readonly swatches: readonly string[];
}

/** Codes that are given away already. */
function listCodes(household: Household): Set<string> {
  const codes = new Set<string>();
  for (const { label } of household.places.values()) if (label) codes.add(label.code);
  for (const { label } of household.lots.values()) if (label) codes.add(label.code);
  for (const { label } of household.projects.values()) if (label) codes.add(label.code);
  return codes;
}

const TABLES = { place: 'places', lot: 'lots', project: 'projects' } as const;

function getRecord(household: Household, of: Labelled['of']): Place | Lot | Project | undefined {
  if (of.kind === 'place') return household.places.get(of.id);
  return of.kind === 'lot' ? household.lots.get(of.id) : household.projects.get(of.id);
}

/** What the label of a place is to say, by what is in it. */
export const toPlaceLabelled = (content: PlaceContent): Labelled => ({
  of: { kind: 'place', id: content.placeId },
  says: listPlaceSayings(content),
  swatches: content.swatches,
});

/** The code that each of them has or would get, in their order. `fresh` is the mark of a household that has none yet. */
export function assignCodes(household: Household, fresh: string, ofs: readonly Labelled['of'][]): string[] {
  const taken = listCodes(household);
  return ofs.map((of) => {
    const own = getRecord(household, of)?.label?.code;
    const code = own ?? createCode(household.settings.mark ?? fresh, of.id, taken);
    taken.add(code);
    return code;
  });
}

/** The mark, where this is the household's first label. */
function createMark({ settings }: Household, fresh: string): Change[] {
  return settings.mark
    ? []
    : [createChange('settings', 'household', settings, { ...settings, mark: fresh })].filter((one) => one !== null);
}

/** Labels were printed: each keeps its code and its own words, and what it says is remembered. */
export function createLabelled(
  household: Household,
  fresh: string,
  labelled: readonly Labelled[],
  subject: string,
  nowMs: number,
): Act {
  const codes = assignCodes(
    household,
    fresh,
    labelled.map((one) => one.of),
  );
  const changes = labelled.map(({ of, says, swatches }, i): Change | null => {
    const record = getRecord(household, of);
    if (!record) return null;
    const label: Label = {
      code: codes[i]!,
      words: record.label?.words,
      printedAtMs: nowMs,
      says: [...says],
      swatches: [...swatches],
    };
    return createChange(TABLES[of.kind], of.id, record, { ...record, label });
  });
  const made = changes.filter((change) => change !== null);
  return made.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: 'relabelled', subject, changes: [...made, ...createMark(household, fresh)] });
}

/** Own words for a label; empty: those that are worked out. It has to be printed again to say so. */
export function createLabelWords(household: Household, fresh: string, id: PlaceId, words: string): Act {
  const place = household.places.get(id);
  if (!place) return fail({ code: 'no-such-place' });
  const old = place.label;
  const own = words.trim().slice(0, 60) || undefined;
  if (old?.words === own) return fail({ code: 'nothing-changed' });
  const [code] = assignCodes(household, fresh, [{ kind: 'place', id }]);
  const label: Label = { ...(old ?? { code: code!, says: [], swatches: [] }), words: own, printedAtMs: undefined };
  const change = createChange('places', id, place, { ...place, label });
  return change
    ? ok({ type: 'relabelled', subject: place.name, changes: [change, ...createMark(household, fresh)] })
    : fail({ code: 'nothing-changed' });
}
