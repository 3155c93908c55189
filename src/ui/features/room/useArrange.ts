import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  computeWorth,
  fromPositions,
  listFetches,
  listMoved,
  toPositions,
  type Piece,
  type Worth,
} from '../../../core/room/index.ts';
import type { Arrangement, Place, Position } from '../../../core/records/index.ts';
import { startArranger, type PlannerHandle } from '../../../workers/client.ts';
import { useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** Tries of one search: some twenty seconds on a small machine. */
const STEPS = 6000;

/** An arrangement beside the room as it stands. */
export interface Choice {
  readonly id: string;
  readonly name: string;
  readonly worth: Worth;
  readonly pieces: readonly Piece[];
  /** Pieces that would have to be carried. */
  readonly moved: number;
}

export interface Search {
  readonly steps: number;
  readonly of: number;
  readonly isRunning: boolean;
  readonly failure: string | null;
}

export const FOUND = 'found';
/** A room's record takes so many. */
export const MOST_KEPT = 12;

/** Looks for better arrangements of a room, keeps those one likes and puts the furniture as one of them has it. */
export function useArrange(room: Place, pieces: readonly Piece[]) {
  const household = useHousehold();
  const spec = room.room!;
  const { statureMm } = household.settings;
  const [search, setSearch] = useState<Search | null>(null);
  const [found, setFound] = useState<{ positions: readonly Position[]; worth: Worth } | null>(null);
  const handle = useRef<PlannerHandle | null>(null);
  const seed = useRef(0);
  useEffect(() => () => handle.current?.abandon(), []);

  const fetches = useMemo(() => listFetches(household, getTree(household), room.id), [household, room.id]);
  const now = useMemo(() => computeWorth(spec, pieces, { statureMm }, fetches), [spec, pieces, statureMm, fetches]);
  const kept = useMemo(
    () =>
      spec.arrangements.map(({ id, name, positions }): Choice => {
        const arranged = fromPositions(pieces, positions);
        const worth = computeWorth(spec, arranged, { statureMm }, fetches);
        return { id, name, worth, pieces: arranged, moved: listMoved(pieces, arranged).length };
      }),
    [spec, pieces, statureMm, fetches],
  );
  const latest = useMemo((): Choice | null => {
    if (!found) return null;
    const arranged = fromPositions(pieces, found.positions);
    const moved = listMoved(pieces, arranged).length;
    return { id: FOUND, name: t('Found'), worth: found.worth, pieces: arranged, moved };
  }, [pieces, found]);
  const choices = latest ? [latest, ...kept] : kept;

  const start = useCallback(() => {
    handle.current?.abandon();
    seed.current += 1;
    setSearch({ steps: 0, of: STEPS, isRunning: true, failure: null });
    const options = { seed: seed.current, steps: STEPS, fetches };
    handle.current = startArranger({ room: spec, pieces, statureMm, options }, (message) => {
      if (message.type === 'failed') {
        setSearch({ steps: 0, of: STEPS, isRunning: false, failure: message.note });
        return;
      }
      // The same best again is no news.
      setFound((before) => (before?.worth.cost === message.worth.cost ? before : message));
      setSearch({ steps: message.steps, of: STEPS, isRunning: message.type === 'progress', failure: null });
    });
  }, [spec, pieces, statureMm, fetches]);

  const saveArrangements = (name: string, arrangements: Arrangement[]) =>
    edit(household, (from) =>
      createSavePlaces(from, name, [{ ...room, room: { ...spec, arrangements } }], [], world.nowMs()),
    );
  const keep = (name: string, arranged: readonly Piece[]) => {
    const kept = { id: world.createId(), name, madeAtMs: world.nowMs(), positions: toPositions(arranged) };
    return saveArrangements(name, [...spec.arrangements, kept]);
  };
  const forget = (choice: Choice) => {
    if (choice.id === FOUND) setFound(null);
    else
      void saveArrangements(
        choice.name,
        spec.arrangements.filter((one) => one.id !== choice.id),
      );
  };
  /** Puts the furniture so; the records change, the carrying is still to be done. */
  const adopt = (choice: Choice) =>
    edit(household, (from) => {
      const saved = listMoved(pieces, choice.pieces).flatMap(({ id, unit }) => {
        const place = from.places.get(id);
        return place ? [{ ...place, unit }] : [];
      });
      return createSavePlaces(from, `${room.name}: ${choice.name}`, saved, [], world.nowMs());
    });
  return { now, choices, search, start, stop: () => handle.current?.stop(), keep, forget, adopt };
}
