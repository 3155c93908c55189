import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { createSaveProject } from '../../../core/acts/index.ts';
import { listMakeable, type Makeable } from '../../../core/projects/index.ts';
import type { Household, Item, Lot, Project, ProjectId } from '../../../core/records/index.ts';
import { formatClothLength } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useOpen, world } from '../../state/app.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { act } from '../../state/hands.ts';
import { wordAgainst, wordNeedWay } from '../../text/projects.ts';
import { t } from '../../language/index.ts';

const MOST = 8;

interface MakeablesProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
  readonly onDone: () => void;
}

/** Which patterns could be made of a cloth; pressed, it becomes an idea that is to be made of it. */
export function Makeables({ household, item, lot, onDone }: MakeablesProps) {
  const navigate = useNavigate();
  const found = useMemo(() => {
    const owned = getLotsByItem(household);
    const patterns = [...household.items.values()].filter((one) => one.kind === 'pattern' && owned.has(one.id));
    return listMakeable(patterns, item, lot, MOST);
  }, [household, item, lot]);
  const begin = async ({ pattern, size }: Makeable) => {
    const id = world.createId() as ProjectId;
    const project: Project = {
      id,
      name: `${pattern.name}, ${item.name}`.slice(0, 120),
      state: 'idea',
      patternItemId: pattern.id,
      makes: size === '' ? [] : [{ size, count: 1 }],
      notes: '',
      needs: [{ id: world.createId(), kind: 'fabric', part: 'main', itemId: item.id }],
      steps: [],
      sinceMs: world.nowMs(),
    };
    if (
      await act(
        (now) => createSaveProject(now, project, world.nowMs()),
        t('{project} is an idea now.', { project: project.name }),
      )
    )
      await navigate(`/projects/${id}`);
  };
  return (
    <section aria-label={t('What could be made of it')} className="border-l-4 border-woad bg-linen p-3">
      <h3 className="font-bold">{t('What could be made of it')}</h3>
      {found.length === 0 && (
        <p className="mt-1">
          {t('Of none of your patterns it is known how much it takes. Give them their table of cloth.')}
        </p>
      )}
      <ul>
        {found.map((one, n) => (
          <Offer
            key={one.pattern.id}
            offer={one}
            household={household}
            isFirst={n === 0}
            onBegin={() => void begin(one)}
          />
        ))}
      </ul>
      <Button look="quiet" autoFocus={found.length === 0} onClick={onDone}>
        {t('Leave it')}
      </Button>
    </section>
  );
}

interface OfferProps {
  readonly offer: Makeable;
  readonly household: Household;
  readonly isFirst: boolean;
  readonly onBegin: () => void;
}

function Offer({ offer: { pattern, size, judged }, household, isFirst, onBegin }: OfferProps) {
  const open = useOpen();
  const { units } = household.settings;
  const { needed, restMm, against } = judged;
  const words = [
    ...(needed
      ? [
          t('takes {clothLength} {needWay}', {
            clothLength: formatClothLength(needed.lengthMm, units),
            needWay: wordNeedWay(needed.way),
          }),
        ]
      : []),
    ...(restMm > 0 && against.every(({ code }) => code !== 'short')
      ? [t('leaves {clothLength}', { clothLength: formatClothLength(restMm, units) })]
      : []),
    ...against.map((one) => wordAgainst(one, units)),
  ];
  const [lotId] = getLotsByItem(household).get(pattern.id) ?? [];
  return (
    <li className="dotted-row py-1">
      <button
        type="button"
        data-name
        className="text-left font-semibold hover:underline"
        onClick={() => lotId && open({ type: 'lot', id: lotId })}
      >
        {pattern.name}
        {size !== '' && t(', size {size}', { size })}
      </button>
      <span className="flex flex-wrap items-baseline gap-x-3">
        <span
          className="min-w-0 flex-1 text-sm text-stone"
          {...explained(
            t('What it takes for the largest size that goes, what would be left, and what speaks against it.'),
          )}
        >
          {words.join('; ')}
        </span>
        <Button
          look="quiet"
          autoFocus={isFirst}
          aria-label={t('Think of {pattern}', { pattern: pattern.name })}
          onClick={onBegin}
        >
          {t('Think of it')}
        </Button>
      </span>
    </li>
  );
}
