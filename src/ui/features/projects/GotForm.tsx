import { useState } from 'react';
import { createGot, createSaveItem } from '../../../core/acts/index.ts';
import { completeSketch, parseLine } from '../../../core/catalog/index.ts';
import { withAmount } from '../../../core/measure/index.ts';
import type { Wanted } from '../../../core/projects/index.ts';
import {
  createLooseLot,
  createLotAlike,
  type Household,
  type ItemId,
  type LotId,
} from '../../../core/records/index.ts';
import { formatClothLength, parseAmountIn, parseMoney } from '../../../core/units/index.ts';
import { sayIn } from '../../../core/spelling/index.ts';
import { TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { getLineLanguage, t, wordTerm } from '../../language/index.ts';

type Bought = Exclude<Wanted, { type: 'thread' }>;

/** A line that the quick line understands, to begin with. */
function toLine(wanted: Bought, units: Household['settings']['units']): string {
  if (wanted.type === 'restock')
    return wanted.unit === 'length' ? formatClothLength(wanted.mark, units) : String(Math.ceil(wanted.mark));
  const { need, missing, item, unit } = wanted.standing;
  if (need.kind !== 'fabric')
    return missing !== null && missing > 1
      ? `${wordTerm(need.part)} ${missing} ${sayIn(getLineLanguage()?.line, 'pieces')}`
      : wordTerm(need.part);
  const length = missing !== null && unit === 'length' ? formatClothLength(Math.ceil(missing / 100) * 100, units) : '';
  return `${item?.name ?? wordTerm(need.part)} ${length}`.trim();
}

/** What was bought: said in one line, with price and shop; it is in, promised, and waits on the Bench for a home. */
export function GotForm({ wanted, onDone }: { wanted: Bought; onDone: () => void }) {
  const household = useHousehold();
  const { units } = household.settings;
  const [line, setLine] = useState(() => toLine(wanted, units));
  const [price, setPrice] = useState('');
  const [shop, setShop] = useState('');
  const [fault, setFault] = useState<string | undefined>();
  const cost = parseMoney(price) ?? undefined;
  const priceFault = price.trim() !== '' && cost === undefined ? t('Such as 12.50') : undefined;
  const send = async () => {
    if (priceFault) return;
    const made = wanted.type === 'need' ? makeForNeed(wanted) : makeMore(wanted);
    if (made) {
      if (await made) onDone();
    } else setFault(t('It does not read. Say how much, such as 3.6 m, or how many.'));
  };
  const makeForNeed = ({ project, standing: { need } }: Extract<Bought, { type: 'need' }>) => {
    const { sketch } = parseLine(line, { kind: need.kind, units, isKindSaid: true, spelling: getLineLanguage()?.line });
    const got = completeSketch(
      {
        ...sketch,
        kind: need.kind,
        name: sketch.name ?? wordTerm(need.part),
        ...(cost !== undefined && { cost }),
        ...(shop.trim() !== '' && { source: shop.trim().slice(0, 120) }),
      },
      {
        itemId: world.createId() as ItemId,
        lotId: world.createId() as LotId,
        nowMs: world.nowMs(),
        stationId: getUsualStations(household)(need.kind, sketch.type),
        settings: household.settings,
      },
    );
    if (!got.ok) return null;
    const bought = got.value;
    return act(
      (now) => createGot(now, project.id, need.id, bought, world.createId(), world.nowMs()),
      t('{name} is in, promised to {project}. It waits on the Bench for a home.', {
        name: bought.item.name,
        project: project.name,
      }),
    );
  };
  const makeMore = ({ item, unit }: Extract<Bought, { type: 'restock' }>) => {
    const read = parseAmountIn(line, unit, units);
    if (!read.ok || read.value <= 0) return null;
    const known = [...household.lots.values()].find((lot) => lot.itemId === item.id && lot.state !== 'gone');
    const id = world.createId() as LotId;
    const bare = known
      ? createLotAlike(id, known, world.nowMs())
      : createLooseLot(id, item, 1, unit === 'length' ? read.value : undefined, world.nowMs());
    return edit(
      household,
      (from) =>
        createSaveItem(
          from,
          {
            ...item,
            ...(cost !== undefined && { cost: (item.cost ?? 0) + cost }),
            ...(shop.trim() !== '' && { source: shop.trim().slice(0, 120) }),
          },
          [withAmount(item, bare, read.value)],
        ),
      t('More of {name} is in. It waits on the Bench for a home.', { name: item.name }),
    );
  };
  return (
    <Form
      aria-label={t('What you got')}
      className="mt-1 grid gap-3 border-l-4 border-woad bg-linen p-3 md:grid-cols-4"
      onSend={send}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="md:col-span-2">
        <TextField
          label={wanted.type === 'need' ? t('What you got, in one line') : t('How much')}
          autoFocus
          value={line}
          fault={fault}
          onChange={(event) => {
            setLine(event.target.value);
            setFault(undefined);
          }}
        />
      </div>
      <TextField
        label={t('Price')}
        inputMode="decimal"
        value={price}
        fault={priceFault}
        onChange={(event) => setPrice(event.target.value)}
      />
      <TextField label={t('Where')} of="items.source" value={shop} onChange={(event) => setShop(event.target.value)} />
      <div className="md:col-span-4">
        <FormFoot save={t('Take it in')} onDone={onDone} />
      </div>
    </Form>
  );
}
