import { useCallback, useEffect, useRef, useState } from 'react';
import type { Household, Place, PlaceId } from '../../../../core/records/index.ts';
import { useApp, world } from '../../../state/app.ts';
import { edit } from '../../../state/hands.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { createSavePlaces } from '../../../../core/acts/index.ts';
import { t } from '../../../language/index.ts';

/** Key presses that follow each other within this time are one change. */
const REST_MS = 1200;

/** A change of the room that is shown but not kept yet. */
export interface Held {
  /** What is held: a board, piece or bin. */
  readonly key: string;
  readonly subject: string;
  readonly saved: readonly Place[];
  /** Why it cannot be kept so; null where it can. */
  readonly refusal: string | null;
  /** What is said of it. */
  readonly words: string;
  readonly isGood: boolean;
}

/** Acts on places from the wall: one thing is held at a time, and kept when it is let go or the keys rest. */
export function useHeld() {
  const tell = useApp((state) => state.tell);
  const [held, setHeld] = useState<Held | null>(null);
  const now = useRef<Held | null>(null);
  /** What it was taken up from. */
  const began = useRef<Household | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const set = useCallback((next: Held | null) => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    if (next === null) began.current = null;
    else began.current ??= useApp.getState().household;
    now.current = next;
    setHeld(next);
  }, []);

  const change = useCallback(
    async (
      subject: string,
      saved: readonly Place[],
      removed: readonly Place[] = [],
      heirs?: ReadonlyMap<PlaceId, PlaceId>,
    ) => {
      const from = began.current ?? useApp.getState().household;
      return from ? edit(from, (was) => createSavePlaces(was, subject, saved, removed, world.nowMs(), heirs)) : false;
    },
    [],
  );
  const keep = useCallback(() => {
    const { current } = now;
    if (!current) return;
    if (current.refusal === null) void change(current.subject, current.saved);
    else
      tell({
        tone: 'fault',
        text: t('{refusal} It is back where it was.', { refusal: current.refusal }),
        canUndo: false,
      });
    set(null);
  }, [change, tell, set]);
  // What is held when the wall is left is kept; so is what a closing tab leaves.
  useEffect(() => {
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('pagehide', keep);
      keep();
    };
  }, [keep]);

  const hold = useCallback(
    (next: Held, isByKey = false) => {
      set(next);
      useRebuild.setState({ words: next.refusal ?? next.words, isGood: next.refusal === null && next.isGood });
      if (isByKey) timer.current = setTimeout(keep, REST_MS);
    },
    [keep, set],
  );
  const drop = useCallback(() => {
    set(null);
    useRebuild.setState({ words: '', isGood: true });
  }, [set]);
  return { held, hold, keep, drop, change };
}

export type Holding = ReturnType<typeof useHeld>;
