import type { Habits, Sketch } from '../../../core/catalog/index.ts';
import type { Household, Kind } from '../../../core/records/index.ts';
import type { Thing } from '../../state/appState.ts';
import { capitalise, wordKind } from '../../text/index.ts';
import { NOTHING_SAID, readThing, wordProblem } from '../stash/useRead.ts';
import type { Shot } from './usePhotos.ts';

/** What a shot and its line make. */
export interface Draft {
  readonly thing: Thing | null;
  /** What the line says by itself. */
  readonly sketch: Sketch | null;
  readonly problem: string | null;
}

export const NO_DRAFT: Draft = { thing: null, sketch: null, problem: null };

interface Context {
  readonly kind: Kind;
  readonly household: Household;
  readonly habits: Habits;
}

/** What a shot and its line make together: the line says what it is, the picture its colours and print. */
export function draftOf({ photo, findings, text, colour, print }: Shot, { kind, household, habits }: Context): Draft {
  if (!photo || !findings || text.trim() === '') return NO_DRAFT;
  const found = findings.colours.map((one) => one.hex);
  const chosen = found[colour] ?? found[0]!;
  const seen = (sketch: Sketch): Sketch => ({
    ...sketch,
    name: sketch.name ?? capitalise(wordKind(sketch.kind)),
    colours: [chosen, ...found.filter((hex) => hex !== chosen)].slice(0, 8),
    photos: [photo.id],
    ...((sketch.kind === 'fabric' || sketch.kind === 'scrap') && { print: sketch.print ?? print }),
  });
  const read = readThing(household, habits, text, { kind, ...NOTHING_SAID, seen });
  const problem = wordProblem(read, household.settings.units);
  return problem === null && read.made.ok
    ? { thing: read.made.value, sketch: read.line.sketch, problem }
    : { ...NO_DRAFT, problem };
}
