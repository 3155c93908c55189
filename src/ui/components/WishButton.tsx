import type { Wish } from '../../core/records/index.ts';
import { useHousehold, world } from '../state/app.ts';
import { act } from '../state/hands.ts';
import { getTree } from '../state/derived.ts';
import { getGroups } from '../state/groups.ts';
import { wordWish } from '../text/wishes.ts';
import { Button } from './Button.tsx';
import { createLiftWish, createWish, findWish } from '../../core/acts/index.ts';
import { t } from '../language/index.ts';

interface WishButtonProps {
  readonly wish: Partial<Omit<Wish, 'id'>> & Pick<Wish, 'kind'>;
  readonly children: string;
  readonly onDone?: () => void;
}

/** Asks something of every plan, or asks it no more: pressed while it is asked. */
export function WishButton({ wish, children, onDone }: WishButtonProps) {
  const household = useHousehold();
  const whole = { lotIds: [], groupIds: [], placeId: undefined, ...wish };
  const known = findWish(household, whole);
  const press = async () => {
    const next = { ...whole, id: world.createId() };
    // Only what is asked of groups calls them by name; whoever asks that has them in sight.
    const groups = next.groupIds.length > 0 ? getGroups(household) : [];
    const words = wordWish(known ?? next, household, getTree(household), groups);
    const isDone = known
      ? await act((now) => createLiftWish(now, known.id), t('No longer asked: {words}', { words }))
      : await act((now) => createWish(now, next), t('Asked of every plan: {words}', { words }));
    if (isDone) onDone?.();
  };
  return (
    <Button look="quiet" aria-pressed={known !== null} onClick={() => void press()}>
      {known ? `✓ ${children}` : children}
    </Button>
  );
}
