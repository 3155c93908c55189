import { useMemo, useState } from 'react';
import { getAmount, getAmountUnit, listAccessories } from '../../../core/measure/index.ts';
import type { Household, Item, Lot } from '../../../core/records/index.ts';
import { parseAmountIn } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { CheckField, TextField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordAmount, wordAmountFault } from '../../text/index.ts';
import { WAYS_OUT, type WayOut, createGone, createLend, createNotFound, createUse } from '../../../core/acts/index.ts';
import { perLanguage, t } from '../../language/index.ts';

const WAY_WORDS = perLanguage((): Record<WayOut, string> => ({
  usedUp: t('All of it is used up'),
  gaveAway: t('Given away'),
  sold: t('Sold'),
  threwOut: t('Thrown out'),
}));

/** Some of it is used; it is lent, missing, or leaves for good. Each is one line in the daybook and one undo. */
export function LeaveForm({
  household,
  item,
  lot,
  onDone,
}: {
  household: Household;
  item: Item;
  lot: Lot;
  onDone: () => void;
}) {
  const { units } = household.settings;
  const [amount, setAmount] = useState('');
  const [who, setWho] = useState('');
  const [back, setBack] = useState('');
  const [isInRepair, setInRepair] = useState(false);
  const [fault, setFault] = useState('');
  const parts = useMemo(
    () => listAccessories(household, item.id).filter(({ state }) => state !== 'lent'),
    [household, item],
  );
  const [stays, setStays] = useState<ReadonlySet<string>>(new Set());
  const unit = getAmountUnit(item, lot);
  const isByPiece = unit !== 'length' && getAmount(item, lot) > 1;
  const finish = (make: Parameters<typeof act>[0]) =>
    act(make).then((isDone) => {
      if (isDone) onDone();
    });
  const use = () => {
    const parsed = parseAmountIn(amount, unit, units);
    if (!parsed.ok) {
      setFault(wordAmountFault(parsed.fault, unit === 'area' ? t('0.2 m²') : '6'));
      return undefined;
    }
    return finish((now) => createUse(now, lot.id, parsed.value, world.nowMs()));
  };
  return (
    <section aria-label={t('It leaves')} className="space-y-3">
      {isByPiece && (
        <Form className="flex items-start gap-2" onSend={use}>
          <TextField
            label={t('Used of {amount}', { amount: wordAmount(item, lot, units) })}
            autoFocus
            inputMode="decimal"
            value={amount}
            fault={fault || undefined}
            onChange={(event) => {
              setAmount(event.target.value);
              setFault('');
            }}
          />
          <Button type="submit" className="mt-5 shrink-0">
            {t('Used')}
          </Button>
        </Form>
      )}
      {lot.state !== 'lent' && lot.state !== 'digital' && (
        <Form
          className="grid grid-cols-2 gap-2"
          onSend={() => {
            if (who.trim() === '') return undefined;
            const along = parts.flatMap(({ id }) => (stays.has(id) ? [] : [id]));
            const terms = { along, ...(back !== '' && { dueBackOn: back }), isInRepair };
            return finish((now) => createLend(now, lot.id, who, world.nowMs(), terms));
          }}
        >
          <TextField
            label={t('Lent to')}
            of="lots.lentTo"
            autoFocus={!isByPiece}
            value={who}
            onChange={(event) => setWho(event.target.value)}
          />
          <TextField label={t('Back by')} type="date" value={back} onChange={(event) => setBack(event.target.value)} />
          <CheckField
            label={t('To be mended')}
            checked={isInRepair}
            onChange={({ target }) => setInRepair(target.checked)}
          />
          {parts.length > 0 && (
            <fieldset className="col-span-2">
              <legend className="text-sm text-stone">{t('Goes along')}</legend>
              {parts.map((one) => (
                <CheckField
                  key={one.id}
                  label={household.items.get(one.itemId)!.name}
                  checked={!stays.has(one.id)}
                  onChange={({ target }) =>
                    setStays(new Set([...stays].filter((id) => id !== one.id).concat(target.checked ? [] : [one.id])))
                  }
                />
              ))}
            </fieldset>
          )}
          <Button type="submit" disabled={who.trim() === ''}>
            {isInRepair ? t('It is away') : t('Lend')}
          </Button>
        </Form>
      )}
      <div className="grid grid-cols-2 gap-2">
        {WAYS_OUT.map((way) => (
          <Button key={way} onClick={() => void finish((now) => createGone(now, lot.id, way, world.nowMs()))}>
            {WAY_WORDS()[way]}
          </Button>
        ))}
        {lot.away !== 'missing' && lot.state !== 'digital' && (
          <Button
            className="col-span-2"
            onClick={() => void finish((now) => createNotFound(now, lot.id, world.nowMs()))}
          >
            {t('I cannot find it')}
          </Button>
        )}
      </div>
      <Button look="quiet" data-key="escape" onClick={onDone}>
        {t('Leave it')}
      </Button>
    </section>
  );
}
