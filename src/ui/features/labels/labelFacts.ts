import { useMemo } from 'react';
import type { LabelFace, LabelShape } from '../../../core/formats/label/index.ts';
import {
  assignCodes,
  computePlaceContentsInSlices,
  judgeLotLabel,
  judgePlaceLabel,
  judgeWords,
  listLotSayings,
  type Drift,
  type Labelled,
  type PlaceContent,
  toPlaceLabelled,
} from '../../../core/labels/index.ts';
import { findProjectOfBag } from '../../../core/promises/index.ts';
import {
  takesRoom,
  type Household,
  type Item,
  type Label,
  type Lot,
  type Place,
  type Project,
} from '../../../core/records/index.ts';
import { world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { groupInSlices } from '../../state/groups.ts';
import { deriveSlowly } from '../../state/slowly.ts';
import { mapInSlices, sortInSlices, type Slices } from '../../../core/slices/index.ts';
import { wordLotFace, wordPlaceContent, wordPlaceFace } from '../../text/labels.ts';
import { getLanguage, perLanguage } from '../../language/index.ts';

/** The mark of a household that gets its first label now. */
export const FRESH_MARK = world.createId();

/** What labels are sorted by on the screen: the places, and things by what hangs or sticks on them. */
export const SECTIONS = ['places', 'bolts', 'spools', 'kits', 'hooks', 'others'] as const;
export type Section = (typeof SECTIONS)[number];

/** A label that there is or could be. */
export interface LabelRow {
  /** `place:…` or `lot:…`. */
  readonly key: string;
  readonly of: Labelled['of'];
  readonly section: Section;
  readonly shape: LabelShape;
  readonly label: Label | null;
  readonly state: 'none' | 'true' | 'drifted';
  readonly drift: readonly Drift[];
  /** Own words that will not mean anything a year later. */
  readonly judged: 'vague' | 'unrelated' | null;
  readonly content: PlaceContent | null;
  readonly thing: { readonly lot: Lot; readonly item: Item } | null;
  /** Whose bag it is. */
  readonly project: Project | null;
  /** Nothing is in it: there is nothing to say yet. */
  readonly isEmpty: boolean;
}

function getState(label: Label | null | undefined, drift: readonly Drift[]): LabelRow['state'] {
  if (typeof label?.printedAtMs !== 'number') return 'none';
  return drift.length > 0 ? 'drifted' : 'true';
}

function toPlaceRow(household: Household, place: Place, content: PlaceContent): LabelRow {
  const label = place.label ?? null;
  const drift = label ? judgePlaceLabel(label, content) : [];
  const listAbout = () => [
    ...wordPlaceContent(content, household),
    ...content.parts.map((part) => part.group.kind),
    ...content.items.flatMap((item) => [item.name, item.box?.type ?? '', ...(item.tags ?? [])]),
  ];
  return {
    key: `place:${place.id}`,
    of: { kind: 'place', id: place.id },
    section: 'places',
    shape: place.container ? 'bin' : 'shelf',
    label,
    state: getState(label, drift),
    drift,
    judged: label?.words ? judgeWords(label.words, listAbout()) : null,
    content,
    thing: null,
    project: null,
    isEmpty: content.parts.length === 0,
  };
}

function getLotSection(household: Household, { kind }: Item, lot: Lot): [Section, LabelShape] {
  // A heap is told by a ticket that lies on it, not by what each of its pieces would have.
  if (lot.heap) return ['others', 'tag'];
  if (kind === 'fabric') return ['bolts', 'bolt'];
  if (kind === 'thread') return ['spools', 'spool'];
  if (kind === 'kit') return ['kits', 'kit'];
  const at = lot.placeId ?? lot.homeId;
  const isHung = lot.form === 'peg' && at !== undefined && household.places.get(at)?.slot?.mode === 'area';
  return isHung ? ['hooks', 'hook'] : ['others', 'tag'];
}

function toLotRow(household: Household, item: Item, lot: Lot): LabelRow {
  const label = lot.label ?? null;
  const project = findProjectOfBag(household, lot.id);
  const drift = label ? judgeLotLabel(label, item, project) : [];
  const [section, shape] = getLotSection(household, item, lot);
  return {
    key: `lot:${lot.id}`,
    of: { kind: 'lot', id: lot.id },
    section,
    shape,
    label,
    state: getState(label, drift),
    drift,
    judged: null,
    content: null,
    thing: { lot, item },
    project,
    isEmpty: false,
  };
}

const BY_NAME = perLanguage(() => new Intl.Collator(getLanguage()));
const compareNames = (a: LabelRow, b: LabelRow) => BY_NAME().compare(a.thing!.item.name, b.thing!.item.name);

function* listRows(household: Household, isWanted: (label: Label | undefined) => boolean): Slices<LabelRow[]> {
  const tree = getTree(household);
  const leaves = tree.leaves.filter((place) => isWanted(place.label));
  const groups = yield* groupInSlices(household);
  const contents = yield* computePlaceContentsInSlices(household, tree, groups, leaves);
  const places = yield* mapInSlices(leaves, (place) => toPlaceRow(household, place, contents.get(place.id)!));
  const lots = yield* mapInSlices(household.lots.values(), (lot) => {
    const item = household.items.get(lot.itemId);
    const isOne = item && isWanted(lot.label) && (takesRoom(lot) || lot.state === 'with');
    return isOne ? toLotRow(household, item, lot) : null;
  });
  const rows = lots.filter((row) => row !== null);
  return [...places, ...(yield* sortInSlices(rows, compareNames))];
}

const rowsOf = deriveSlowly((household) => listRows(household, () => true));
/** Every label that there is or could be: places in the order of the room, things by name. */
export const useLabelRows = (household: Household): readonly LabelRow[] => rowsOf.use(household);

const driftedOf = deriveSlowly(function* (household) {
  const printed = yield* listRows(household, (label) => typeof label?.printedAtMs === 'number');
  return printed.filter((row) => row.state === 'drifted');
});
/** Labels that are printed and no longer say what is so. */
export const useDrifted = (household: Household): readonly LabelRow[] => driftedOf.use(household);

/** Some labels with what stands on each. */
export interface Faces {
  readonly rows: readonly LabelRow[];
  readonly of: (row: LabelRow) => LabelFace;
}

/** The faces of labels, in words, with the codes they have or would get; each is put into words when it is first asked for. */
export function createFaces(household: Household, rows: readonly LabelRow[], nowMs: number): Faces {
  const tree = getTree(household);
  const codes = assignCodes(
    household,
    FRESH_MARK,
    rows.map((row) => row.of),
  );
  const codeOf = new Map(rows.map((row, i) => [row, codes[i]!]));
  const known = new Map<LabelRow, LabelFace>();
  const word = (row: LabelRow): LabelFace => {
    const code = codeOf.get(row)!;
    return row.content
      ? wordPlaceFace(row.content, row.label?.words ?? null, code, row.shape, household, nowMs)
      : wordLotFace(row.thing!.item, row.thing!.lot, code, row.shape, household, tree, nowMs);
  };
  const of = (row: LabelRow): LabelFace => {
    const face = known.get(row) ?? word(row);
    known.set(row, face);
    return face;
  };
  return { rows, of };
}

const saidOf = deriveSlowly(function* ({ rows, of }: Faces) {
  return yield* mapInSlices(rows, (row) => {
    const { title, lines, foot, code } = of(row);
    return `${title} ${lines.join(' ')} ${foot} ${code}`.toLowerCase();
  });
});
/** The labels that say something; all of them where nothing is asked for. */
export function useSaying(faces: Faces, words: string): readonly LabelRow[] {
  const said = words === '' ? null : saidOf.use(faces);
  return useMemo(() => faces.rows.filter((_, i) => said === null || said[i]!.includes(words)), [faces, said, words]);
}

/** What is remembered of a label when it is printed. */
export function toLabelled(row: LabelRow): Labelled {
  return row.content
    ? toPlaceLabelled(row.content)
    : { of: row.of, says: listLotSayings(row.thing!.item, row.project), swatches: [] };
}
