import { computeOkDistance } from '../colour/index.ts';
import type { Item, Label, Project, Saying } from '../records/index.ts';
import { listLotSayings, type PlaceContent } from './content.ts';

/** In what a label is no longer true. */
export type Drift =
  /** A group is here that it does not name, or it names one of which nothing is here. */
  | { readonly code: 'new-group'; readonly groupId: string }
  | { readonly code: 'gone-group'; readonly groupId: string }
  /** A number outside its range. */
  | { readonly code: 'number'; readonly from: number; readonly to: number }
  /** A colour like none of its swatches. */
  | { readonly code: 'colour'; readonly colour: string }
  /** It stands elsewhere, or the thing is called or is otherwise. */
  | { readonly code: 'elsewhere'; readonly path: string }
  | { readonly code: 'changed'; readonly about: Saying['about'] };

/** Colours that differ by more are not meant by a swatch; swatches are chosen closer than that. */
const OTHER = 0.17;

/** From the least to the greatest number that lies in a place, over all its runs. */
function spanNumbers({ parts }: PlaceContent): { from: number; to: number } {
  const runs = parts.flatMap((part) => part.numbers ?? []);
  return { from: Math.min(...runs.map((one) => one.from)), to: Math.max(...runs.map((one) => one.to)) };
}

/** What the printed label of a place no longer has right; nothing where it is true. */
export function judgePlaceLabel(label: Label, content: PlaceContent): Drift[] {
  const found: Drift[] = [];
  const path = label.says.find((one) => one.about === 'path')?.value;
  if (path !== undefined && path !== content.path) found.push({ code: 'elsewhere', path });
  const said = new Map(label.says.filter((one) => one.about === 'group').map((one) => [one.value, one]));
  let isOutOfRange = false;
  for (const { group, numbers } of content.parts) {
    const saying = said.get(group.id);
    if (!saying) found.push({ code: 'new-group', groupId: group.id });
    else if (
      numbers &&
      typeof saying.from === 'number' &&
      typeof saying.to === 'number' &&
      (numbers.from < saying.from || numbers.to > saying.to)
    )
      isOutOfRange = true;
  }
  // Told as the label would say it now: all runs that lie here are one.
  if (isOutOfRange) found.push({ code: 'number', ...spanNumbers(content) });
  const here = new Set(content.parts.map((part) => part.group.id));
  for (const groupId of said.keys()) if (!here.has(groupId)) found.push({ code: 'gone-group', groupId });
  const other = content.swatches.find((hex) =>
    label.swatches.every((one) => (computeOkDistance(one, hex) ?? Infinity) > OTHER),
  );
  if (label.swatches.length > 0 && other !== undefined) found.push({ code: 'colour', colour: other });
  return found;
}

/** What the printed label of a lot no longer has right. */
export function judgeLotLabel(label: Label, item: Item, project: Project | null): Drift[] {
  const now = new Map(listLotSayings(item, project).map((one) => [one.about, one.value]));
  const was = new Map(label.says.map((one) => [one.about, one.value]));
  const abouts = new Set([...now.keys(), ...was.keys()]);
  return [...abouts]
    .filter((about) => now.get(about) !== was.get(about))
    .map((about): Drift => ({ code: 'changed', about }));
}

/** Words that say nothing of what is inside. */
const VAGUE = new Set(
  `misc miscellaneous various stuff thing things bit bits bobs other others sundry sundries mixed mix assorted assortment
  random odds ends odd etc general more some old new my box boxes bin bins drawer drawers shelf shelves basket baskets jar
  jars case bag container sewing craft supplies spare extra useful and of the a an for in no nr number`.split(/\s+/),
);

/**
 * Whether one's own words on a label will mean something a year later. `vague`: nothing is left when empty words and
 * figures are taken out; `unrelated`: not one of its words has to do with what is there.
 */
export function judgeWords(words: string, about: readonly string[]): 'vague' | 'unrelated' | null {
  const split = (text: string) => text.toLowerCase().match(/\p{L}{2,}/gu) ?? [];
  const telling = split(words).filter((word) => !VAGUE.has(word));
  if (telling.length === 0) return 'vague';
  if (about.length === 0) return null;
  const known = about.flatMap(split);
  // A plural or another ending is the same word.
  const isSame = (a: string, b: string) => {
    const length = Math.min(a.length, b.length);
    return (
      length >= 3 && Math.max(a.length, b.length) - length <= 3 && a.slice(0, length - 1) === b.slice(0, length - 1)
    );
  };
  return telling.some((word) => known.some((other) => isSame(word, other))) ? null : 'unrelated';
}
