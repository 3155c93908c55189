import { useMemo } from 'react';
import { createInstead, createPromise } from '../../../core/acts/index.ts';
import { suggestCloths, type Suggested } from '../../../core/projects/index.ts';
import type { LotId, Need, Project } from '../../../core/records/index.ts';
import { formatClothLength } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getProjectFacts } from '../../state/projects.ts';
import { wordAgainst } from '../../text/projects.ts';
import { LotButton } from './LotButton.tsx';
import { t } from '../../language/index.ts';

const MOST = 8;

interface ChooseClothProps {
  readonly project: Project;
  readonly need: Need;
  /** The promise in whose place another is to be made. */
  readonly instead?: { readonly lotId: LotId; readonly promiseId: string } | undefined;
  readonly onDone: () => void;
}

/** Which lengths of the stash would do for a need, the best first, with what speaks against each and what would be left. */
export function ChooseCloth({ project, need, instead, onDone }: ChooseClothProps) {
  const household = useHousehold();
  const suggested = useMemo(
    () =>
      suggestCloths(getProjectFacts(household), project, need, MOST + 1)
        .filter(({ lot }) => lot.id !== instead?.lotId)
        .slice(0, MOST),
    [household, project, need, instead?.lotId],
  );
  const promise = ({ lot, item, needed, freeMm }: Suggested) => {
    // Of the same cloth only what is still missing; what another length holds already counts.
    const held = [...household.lots.values()]
      .filter((one) => one.itemId === item.id && one.id !== lot.id)
      .flatMap((one) => one.reserved ?? [])
      .filter((one) => one.projectId === project.id && one.needId === need.id && one.id !== instead?.promiseId)
      .reduce((sum, one) => sum + one.amount, 0);
    const wanted = Math.min(freeMm, Math.max(0, (needed?.lengthMm ?? freeMm) - (need.used ?? 0) - held));
    const wish = { projectId: project.id, needId: need.id, lotId: lot.id, amount: wanted };
    return act(
      (now) =>
        instead
          ? createInstead(now, wish, instead, world.createId(), world.nowMs())
          : createPromise(now, wish, world.createId(), world.nowMs()),
      t('{clothLength} of {name} promised to {project}.', {
        clothLength: formatClothLength(wanted, household.settings.units),
        name: item.name,
        project: project.name,
      }),
    ).then((isDone) => isDone && onDone());
  };
  return (
    <section aria-label={t('Cloths that would do')} className="mt-1 border-l-4 border-woad bg-linen p-2">
      {suggested.length === 0 && <p>{t('There is no cloth in the stash that could be it.')}</p>}
      <ul>
        {suggested.map((one, n) => (
          <Offer key={one.lot.id} offer={one} isFirst={n === 0} onTake={() => promise(one)} />
        ))}
      </ul>
      <Button look="quiet" autoFocus={suggested.length === 0} onClick={onDone}>
        {t('Leave it')}
      </Button>
    </section>
  );
}

interface OfferProps {
  readonly offer: Suggested;
  /** It has the keys: the button that opened the list is gone. */
  readonly isFirst: boolean;
  readonly onTake: () => Promise<unknown>;
}

function Offer({ offer, isFirst, onTake }: OfferProps) {
  const { lot, item, needed, freeMm, restMm, against } = offer;
  const { units } = useHousehold().settings;
  const left = restMm > 0 ? t('leaves {clothLength}', { clothLength: formatClothLength(restMm, units) }) : '';
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-2 py-1">
      <LotButton id={lot.id} item={item}>
        <span
          className="block text-sm text-stone"
          {...explained(t('What of it is free, what would be left, and what speaks against it by its figures.'))}
        >
          {[
            t('{clothLength} free', { clothLength: formatClothLength(freeMm, units) }),
            left,
            ...against.map((one) => wordAgainst(one, units)),
          ]
            .filter(Boolean)
            .join('; ')}
        </span>
      </LotButton>
      <Button
        autoFocus={isFirst}
        disabled={freeMm <= 0}
        aria-label={t('Promise {name}', { name: item.name })}
        onClick={() => void onTake()}
      >
        {needed
          ? t('Promise {clothLength}', { clothLength: formatClothLength(Math.min(freeMm, needed.lengthMm), units) })
          : t('Promise it')}
      </Button>
    </li>
  );
}
