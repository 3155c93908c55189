import { useEffect, useRef, useState } from 'react';
import type { Lot } from '../../../core/records/index.ts';
import { createCut } from '../../../core/tracking/index.ts';
import { formatClothLength, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { wordActFault, wordAmountFault } from '../../text/index.ts';

/** Cuts a length off: typed in any unit, with what would be left. */
export function CutForm({ lot, onDone }: { lot: Lot; onDone: () => void }) {
  const { units } = useHousehold().settings;
  const act = useApp((state) => state.act);
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [isTried, setTried] = useState(false);
  useEffect(() => input.current?.focus(), []);

  const [forId, setForId] = useState('');
  const reserved = lot.reserved ?? [];

  const parsed = parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
  const present = lot.lengthMm ?? 0;
  const promised = reserved.filter((one) => one.id !== forId).reduce((sum, one) => sum + one.amount, 0);
  const fault = !parsed.ok
    ? wordAmountFault(parsed.fault, units === 'metric' ? '80 cm' : '2 1/2 yd')
    : parsed.value <= 0
      ? wordAmountFault({ code: 'zero', text }, units === 'metric' ? '80 cm' : '2 1/2 yd')
      : parsed.value > present + 0.5
        ? wordActFault({ code: 'more-than-there-is', available: present }, units)
        : parsed.value > present - promised + 0.5
          ? wordActFault({ code: 'reserved', available: Math.max(0, present - promised), unit: 'length' }, units)
          : null;

  return (
    <form
      className="mt-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (fault !== null || !parsed.ok) return;
        void act((now) => createCut(now, lot.id, parsed.value, world.nowMs(), forId || null)).then(
          (isDone) => isDone && onDone(),
        );
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <TextField
        ref={input}
        label="How much to cut"
        value={text}
        fault={isTried || (text !== '' && parsed.ok) ? (fault ?? undefined) : undefined}
        hint={
          parsed.ok && fault === null
            ? present - parsed.value < 0.5
              ? 'All of it; then it is used up.'
              : `Leaves ${formatClothLength(present - parsed.value, units)}.`
            : `There are ${formatClothLength(present, units)}.`
        }
        onChange={(event) => setText(event.target.value)}
      />
      {reserved.length > 0 && (
        <SelectField label="For" value={forId} onChange={(event) => setForId(event.target.value)}>
          <option value="">something else: what is promised stays</option>
          {reserved.map((one) => (
            <option key={one.id} value={one.id}>
              {`${one.forWhat} (${formatClothLength(one.amount, units)})`}
            </option>
          ))}
        </SelectField>
      )}
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button look="strong" type="submit">
          Cut
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </form>
  );
}
