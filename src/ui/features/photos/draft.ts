import { completeSketch, parseLine, recall, type Habits, type Sketch } from '../../../core/catalog/index.ts';
import type { Household, ItemId, Kind, LotId } from '../../../core/records/index.ts';
import type { Thing } from '../../state/appState.ts';
import { world } from '../../state/app.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { capitalise, wordAmountFault, wordKind, wordRecordFault } from '../../text/index.ts';
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
export function draftOf(shot: Shot, { kind, household, habits }: Context): Draft {
  if (!shot.photo || !shot.findings || shot.text.trim() === '') return NO_DRAFT;
  const { settings } = household;
  const { units } = settings;
  const line = parseLine(shot.text, { kind, units });
  const fail = (problem: string): Draft => ({ ...NO_DRAFT, problem });
  if (line.faults[0]) return fail(wordAmountFault(line.faults[0], units === 'metric' ? '3.4m' : '2 1/2 yd'));
  if (line.sketch.kind === 'fabric' && line.sketch.lengthMm === undefined)
    return fail(`How long is it? Such as ${units === 'metric' ? '3.4m' : '2 1/2 yd'}`);
  const found = shot.findings.colours.map((one) => one.hex);
  const chosen = found[shot.colour] ?? found[0]!;
  const isCloth = line.sketch.kind === 'fabric' || line.sketch.kind === 'scrap';
  const { form: _form, ...recalled } = recall(line.sketch, habits);
  const sketch: Sketch = {
    ...line.sketch,
    ...recalled,
    name: line.sketch.name ?? capitalise(wordKind(line.sketch.kind)),
    colours: [chosen, ...found.filter((hex) => hex !== chosen)].slice(0, 8),
    photos: [shot.photo.id],
    ...(isCloth && { print: line.sketch.print ?? shot.print }),
  };
  // Until it is taken in.
  const ids = { itemId: shot.id as ItemId, lotId: shot.id as LotId };
  const stationId = getUsualStations(household)(line.sketch.kind, line.sketch.type);
  const made = completeSketch(sketch, { ...ids, nowMs: world.nowMs(), stationId, settings });
  return made.ok
    ? { thing: made.value, sketch: line.sketch, problem: null }
    : fail(made.fault.map(wordRecordFault).join('; '));
}
