import type { Dispatch, SetStateAction } from 'react';
import { useNavigate } from 'react-router';
import { createPutInto, judgePut } from '../../../core/acts/index.ts';
import { readScan, type Scanned } from '../../../core/labels/index.ts';
import type { LotId, PlaceId } from '../../../core/records/index.ts';
import { useApp, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useHand } from '../../state/hand.ts';
import { tellStrained } from '../../state/strained.ts';
import { takeOut } from '../../state/takeOut.ts';
import { t } from '../../language/index.ts';

/** What the last code led to. */
export type Answer =
  | { readonly kind: 'scanned'; readonly scanned: Scanned }
  /** It does not go in there: shall it all the same? */
  | { readonly kind: 'full'; readonly placeId: PlaceId; readonly lotIds: readonly LotId[] }
  | { readonly kind: 'done'; readonly placeId: PlaceId; readonly lotIds: readonly LotId[] }
  | { readonly kind: 'picture'; readonly words: string };

/** What was read and is not done with yet. */
let turn: Promise<void> = Promise.resolve();

/** What follows from a code: things come into the hand, places take what is in it. */
export function useScanning(setAnswer: Dispatch<SetStateAction<Answer | null>>) {
  const navigate = useNavigate();
  const put = async (placeId: PlaceId, lotIds: readonly LotId[], isPressed: boolean) => {
    const now = useApp.getState().household!;
    const verdict = judgePut(now, getTree(now), lotIds, placeId);
    const isComing = lotIds.some((id) => now.lots.get(id)?.homeId !== placeId);
    if (!isPressed && isComing && verdict && !verdict.isFit) return setAnswer({ kind: 'full', placeId, lotIds });
    const subject =
      lotIds.length === 1
        ? (now.items.get(now.lots.get(lotIds[0]!)!.itemId)?.name ?? t('a thing'))
        : t('{n, plural, one {# thing} other {# things}}', { n: lotIds.length });
    const isDone = await act((at) =>
      createPutInto(at, lotIds, placeId, verdict?.forms ?? lotIds.map(() => null), subject, world.nowMs()),
    );
    if (!isDone) return undefined;
    useHand.setState({ ids: [] });
    setAnswer({ kind: 'done', placeId, lotIds });
    return tellStrained([placeId], lotIds.length === 1 ? t('It is there.') : t('They are there.'));
  };

  const readOne = async (code: string) => {
    const now = useApp.getState().household;
    if (!now) return;
    const { ids, last: before } = useHand.getState();
    const { scanned, last } = readScan(now, ids, before, code, world.nowMs());
    useHand.setState({ last });
    // A stammer leaves what was said before in view.
    if (scanned.kind === 'twice') {
      setAnswer((shown) => shown ?? { kind: 'scanned', scanned });
      useApp
        .getState()
        .tell({ tone: 'done', text: t('Read twice; the second time nothing was done.'), canUndo: false });
      return;
    }
    setAnswer({ kind: 'scanned', scanned });
    if (scanned.kind === 'put') await put(scanned.placeId, scanned.lotIds, false);
    if (scanned.kind === 'look') useApp.getState().show({ type: 'place', id: scanned.placeId });
    if (scanned.kind === 'project') await navigate(`/projects/${scanned.projectId}`);
    if (scanned.kind === 'in-hand') useApp.getState().show({ type: 'lot', id: scanned.lotId });
    if (scanned.kind !== 'take') return;
    const { lotId } = scanned;
    // Its ticket hangs beside: cut, used, lent and the rest are one press away.
    useApp.getState().show({ type: 'lot', id: lotId });
    if (!scanned.isOut && !(await takeOut(lotId))) return;
    useHand.setState(({ ids: held }) => ({ ids: [...held.filter((id) => id !== lotId), lotId] }));
  };
  /** One after the other: a quick hand reads the place before the thing is written down. */
  const scan = (code: string): Promise<void> => {
    turn = turn.then(() => readOne(code)).catch(() => undefined);
    return turn;
  };
  return { put, scan };
}
