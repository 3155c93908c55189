import { useMemo, useState } from 'react';
import { createFinish, HANDFUL_MM2, type LeftOver } from '../../../core/acts/index.ts';
import { completeSketch } from '../../../core/catalog/index.ts';
import { getAmount, getAmountUnit } from '../../../core/measure/index.ts';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import { isUsedAgain, listPromised, type Promised } from '../../../core/promises/index.ts';
import { type Household, type Item, type ItemId, type Lot, type LotId } from '../../../core/records/index.ts';
import { judgeRest } from '../../../core/suppose/index.ts';
import { parseAmountIn } from '../../../core/units/index.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { formatAmount, wordAmountFault } from '../../text/index.ts';
import { wordRest } from '../../text/rest.ts';
import { nameScraps } from '../../text/scraps.ts';
import { t } from '../../language/index.ts';

/** What is left over of a cloth in bits, mm²: about as much as a hand holds, or a bag. */
const SCRAPS = { none: 0, handful: HANDFUL_MM2, bagful: 5 * HANDFUL_MM2 } as const;
type Scraps = keyof typeof SCRAPS;

/** A lot that may have gone into it: promised to it, or in its bag still. */
interface Used {
  readonly lot: Lot;
  readonly item: Item;
  readonly promise: Promised['promise'] | null;
}

function listUsed(household: Household, { project, gathered }: ProjectStanding): Used[] {
  const byLot = new Map<LotId, Used>(listPromised(household, project.id).map((one) => [one.lot.id, one]));
  for (const lot of gathered) {
    const item = household.items.get(lot.itemId);
    if (item && !byLot.has(lot.id) && !isUsedAgain(item.kind)) byLot.set(lot.id, { lot, item, promise: null });
  }
  return [...byLot.values()];
}

/** What is likely to be left: what was cut was noted already; else what was promised went into it. */
function guessLeft(standing: ProjectStanding, { lot, item, promise }: Used): number {
  const need = standing.needs.find((one) => one.need.id === promise?.needId)?.need;
  const present = getAmount(item, lot);
  return (need?.used ?? 0) > 0 ? present : Math.max(0, present - (promise?.amount ?? 0));
}

function readAmount(text: string, { lot, item }: Used, { settings: { units } }: Household) {
  const unit = getAmountUnit(item, lot);
  if (/^0*[.,]?0*$/.test(text.trim())) return { ok: true, value: 0 } as const;
  return parseAmountIn(text, unit, units);
}

/** A project is done: what is left of each thing is said anew, with what becomes of it; scraps and what was made come in. */
export function FinishForm({ standing, onDone }: { standing: ProjectStanding; onDone: () => void }) {
  const household = useHousehold();
  const { units } = household.settings;
  const { project } = standing;
  const promised = useMemo(() => listUsed(household, standing), [household, standing]);
  const [left, setLeft] = useState<ReadonlyMap<LotId, string>>(
    () =>
      new Map(
        promised.map((one) => [
          one.lot.id,
          formatAmount(guessLeft(standing, one), getAmountUnit(one.item, one.lot), units),
        ]),
      ),
  );
  const [scraps, setScraps] = useState<ReadonlyMap<LotId, Scraps>>(new Map());
  const [kept, setKept] = useState('no');
  const read = promised.map((one) => ({ one, amount: readAmount(left.get(one.lot.id) ?? '', one, household) }));
  const isBad = read.some(({ amount }) => !amount.ok);
  const finish = () => {
    if (isBad) return undefined;
    const amounts = new Map(
      read.flatMap(({ one, amount }) => (amount.ok ? [[one.lot.id, amount.value] as const] : [])),
    );
    const bits = promised.flatMap(({ lot, item }): LeftOver[] => {
      const areaMm2 = SCRAPS[scraps.get(lot.id) ?? 'none'];
      const ids = { itemId: world.createId() as ItemId, lotId: world.createId() as LotId };
      return areaMm2 > 0 ? [{ of: lot.id, areaMm2, name: nameScraps(item), ...ids }] : [];
    });
    const made =
      kept === 'yes'
        ? completeSketch(
            { kind: 'other', name: project.name, type: t('finished piece'), count: countMakes(standing) },
            {
              itemId: world.createId() as ItemId,
              lotId: world.createId() as LotId,
              nowMs: world.nowMs(),
              stationId: getUsualStations(household)('other', t('finished piece')),
              settings: household.settings,
            },
          )
        : null;
    return act(
      (now) =>
        createFinish(
          now,
          project.id,
          { left: amounts, scraps: bits, ...(made?.ok && { made: made.value }) },
          world.nowMs(),
        ),
      t('{project} is done. What was left over lies out; put it back from the Bench.', { project: project.name }),
    ).then((isDone) => isDone && onDone());
  };
  return (
    <Form
      opensBelow
      aria-label={t('Finish {project}', { project: project.name })}
      className="mt-3 border-l-4 border-woad bg-linen p-3"
      onSend={finish}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      {promised.length > 0 && <h3 className="font-bold">{t('What is left of it?')}</h3>}
      <ul>
        {read.map(({ one, amount }, n) => (
          <Left
            key={one.lot.id}
            promised={one}
            isFirst={n === 0}
            text={left.get(one.lot.id) ?? ''}
            fault={amount.ok ? undefined : wordAmountFault(amount.fault, '1.20')}
            leftMm={amount.ok ? amount.value : null}
            scraps={scraps.get(one.lot.id) ?? 'none'}
            onText={(text) => setLeft(new Map(left).set(one.lot.id, text))}
            onScraps={(some) => setScraps(new Map(scraps).set(one.lot.id, some))}
          />
        ))}
      </ul>
      <div className="mt-2 max-w-xs">
        <SelectField
          label={t('What you made')}
          autoFocus={promised.length === 0}
          value={kept}
          onChange={(event) => setKept(event.target.value)}
        >
          <option value="no">{t('is worn, used or given away')}</option>
          <option value="yes">{t('is kept here: catalogue it')}</option>
        </SelectField>
      </div>
      <FormFoot save={t('It is done')} onDone={onDone} />
    </Form>
  );
}

const countMakes = ({ project }: ProjectStanding) =>
  Math.max(
    1,
    project.makes.reduce((sum, one) => sum + one.count, 0),
  );

interface LeftProps {
  readonly promised: Used;
  readonly isFirst: boolean;
  readonly text: string;
  readonly fault: string | undefined;
  readonly leftMm: number | null;
  readonly scraps: Scraps;
  readonly onText: (text: string) => void;
  readonly onScraps: (scraps: Scraps) => void;
}

/** One thing that was promised: how much of it is left, where that belongs then, and its scraps. */
function Left({ promised, isFirst, text, fault, leftMm, scraps, onText, onScraps }: LeftProps) {
  const household = useHousehold();
  const { lot, item, promise } = promised;
  const cutMm = item.kind === 'fabric' && leftMm !== null ? getAmount(item, lot) - leftMm : 0;
  const rest = useMemo(
    () => (cutMm > 0.5 ? judgeRest(household, lot.id, cutMm, promise?.id ?? null) : null),
    [household, lot.id, cutMm, promise?.id],
  );
  const words = rest ? wordRest(rest, household) : '';
  return (
    <li aria-label={item.name} className="dotted-row flex flex-wrap items-start gap-3 py-2">
      <span className="min-w-40 flex-1">
        <span data-name className="font-semibold">
          {item.name}
        </span>
        {words !== '' && <span className="block text-sm text-stone">{words}</span>}
      </span>
      <div className="w-36">
        <TextField
          label={t('Left of it')}
          autoFocus={isFirst}
          value={text}
          fault={fault}
          onChange={(event) => onText(event.target.value)}
        />
      </div>
      {item.kind === 'fabric' && (
        <div className="w-36">
          <SelectField label={t('Scraps')} value={scraps} onChange={(event) => onScraps(event.target.value as Scraps)}>
            <option value="none">{t('none to keep')}</option>
            <option value="handful">{t('a handful')}</option>
            <option value="bagful">{t('a bagful')}</option>
          </SelectField>
        </div>
      )}
    </li>
  );
}
