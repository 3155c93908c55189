import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import {
  computeFindingsInSlices,
  computeTriangle,
  listPieces,
  type Finding,
  type Piece,
  type Triangle,
} from '../../../core/room/index.ts';
import type { Household, Place, PlaceId, RoomSpec, Settings, UnitSpec } from '../../../core/records/index.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { deriveSlowly, type Slow } from '../../state/slowly.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';

/** Key presses that follow each other within this time are one move. */
const REST_MS = 1200;

interface Arrangement {
  readonly spec: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly settings: Settings;
  readonly isHeld: boolean;
}

const NO_FINDINGS: readonly Finding[] = [];
const FINDINGS = deriveSlowly(({ spec, pieces, settings }: Arrangement) =>
  computeFindingsInSlices(spec, pieces, settings),
);
const TRIANGLE = deriveSlowly(function* ({ spec, pieces }: Arrangement) {
  yield;
  return computeTriangle(spec, pieces);
});

/** In slices when the plan is opened; at once while a piece is moved, or one judgement would wait for the other. */
const judge = <T>(figure: Slow<T, Arrangement>, of: Arrangement): T => (of.isHeld ? figure.get(of) : figure.use(of));

interface FloorPlanState {
  readonly pieces: readonly Piece[];
  readonly findings: readonly Finding[];
  readonly triangle: Triangle | null;
  /** Shows a piece elsewhere, without keeping it yet. */
  readonly hold: (id: PlaceId, unit: UnitSpec) => void;
  /** Keeps what is held, now or once the keys rest. */
  readonly keep: (when?: 'now' | 'rest') => void;
}

/** The pieces of a room while they are moved: judged as they are held, kept as one act when they are let go. */
export function usePlan(room: Place, spec: RoomSpec): FloorPlanState {
  const household = useHousehold();
  const [held, setHeld] = useState<ReadonlyMap<PlaceId, UnitSpec>>(new Map());
  const heldNow = useRef(held);
  /** What the first of them was taken up from. */
  const began = useRef<Household | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const standing = useMemo(() => listPieces(household, getTree(household), room.id), [household, room.id]);
  const pieces = useMemo(
    () => standing.map((piece) => ({ ...piece, unit: held.get(piece.id) ?? piece.unit })),
    [standing, held],
  );
  const { settings } = household;
  const standingSo = useMemo(
    () => ({ spec, pieces, settings, isHeld: held.size > 0 }),
    [spec, pieces, settings, held.size],
  );
  // The furniture is there, and follows the finger, before it is judged.
  const judged = useDeferredValue<Arrangement | null>(standingSo, null);
  const findings = judged ? judge(FINDINGS, judged) : NO_FINDINGS;
  const triangle = judged && judge(TRIANGLE, judged);
  const hold = useCallback((id: PlaceId, unit: UnitSpec) => {
    if (heldNow.current.size === 0) began.current = useApp.getState().household;
    const next = new Map(heldNow.current).set(id, unit);
    heldNow.current = next;
    setHeld(next);
  }, []);
  const save = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const moved = heldNow.current;
    const from = began.current;
    if (moved.size === 0 || !from) return;
    void edit(from, (was) => {
      const saved = [...moved].flatMap(([id, unit]) => {
        const place = was.places.get(id);
        return place ? [{ ...place, unit }] : [];
      });
      return createSavePlaces(was, saved[0]?.name ?? '', saved, [], world.nowMs());
    }).then(() => {
      // What was held meanwhile waits for its own turn.
      if (heldNow.current === moved) {
        heldNow.current = new Map();
        setHeld(heldNow.current);
      }
    });
  }, []);
  // What is held when the plan is left is kept; so is what a closing tab leaves.
  useEffect(() => {
    window.addEventListener('pagehide', save);
    return () => {
      window.removeEventListener('pagehide', save);
      save();
    };
  }, [save]);
  const keep = useCallback(
    (when: 'now' | 'rest' = 'now') => {
      if (timer.current) clearTimeout(timer.current);
      if (when === 'now') save();
      else timer.current = setTimeout(save, REST_MS);
    },
    [save],
  );
  return { pieces, findings, triangle, hold, keep };
}
