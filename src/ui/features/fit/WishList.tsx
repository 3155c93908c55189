import { Button } from '../../components/Button.tsx';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getGroups, getTree } from '../../state/derived.ts';
import { wordWish } from '../../text/wishes.ts';
import { createLiftWish } from '../../../core/acts/index.ts';

/** What is asked of every plan, each to be lifted. */
export function WishList() {
  const household = useHousehold();
  const wishes = household.settings.wishes ?? [];
  return (
    <section aria-label="What you asked" className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">What you asked</h3>
      {wishes.length === 0 ? (
        <p className="text-sm text-stone">
          Nothing yet. From the ticket of a thing or place you can ask that it stays, or is kept free; with several
          things ticked in the table, that they are kept together or apart.
        </p>
      ) : (
        <ul>
          {wishes.map((wish) => {
            const words = wordWish(wish, household, getTree(household), getGroups(household));
            return (
              <li key={wish.id} className="dotted-row flex items-baseline justify-between gap-2 py-1">
                <span>{words}</span>
                <Button
                  look="quiet"
                  aria-label={`Lift: ${words}`}
                  onClick={() => void act((now) => createLiftWish(now, wish.id), `No longer asked: ${words}`)}
                >
                  Lift
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
