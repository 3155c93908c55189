import { useEffect, useMemo, useRef, useState } from 'react';
import type { DaybookEvent, Household, Lot } from '../../../core/records/index.ts';
import { formatClothLength, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { nameOfPromise } from '../../../core/promises/index.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordActFault, wordAmountFault } from '../../text/index.ts';
import { wordRest } from '../../text/rest.ts';
import { createCut } from '../../../core/acts/index.ts';
import { judgeRest } from '../../../core/suppose/index.ts';
import { t } from '../../language/index.ts';

/** What things were cut for, are promised to or are gathered for; the newest first. */
function listProjects(household: Household, events: readonly DaybookEvent[]): string[] {
  const names = [
    ...events.toReversed().flatMap((event) => event.forWhat ?? []),
    ...[...household.lots.values()].flatMap((lot) => (lot.reserved ?? []).map((one) => nameOfPromise(household, one))),
    ...[...household.projects.values()].map((project) => project.name),
  ];
  return [...new Set(names)].slice(0, 40);
}

/** Cuts a length off: typed in any unit, with what would be left. */
export function CutForm({ lot, onDone }: { lot: Lot; onDone: () => void }) {
  const { units } = useHousehold().settings;
  const show = useApp((state) => state.show);
  const tell = useApp((state) => state.tell);
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [isTried, setTried] = useState(false);
  useEffect(() => input.current?.focus(), []);

  const [forId, setForId] = useState('');
  const [forWhat, setForWhat] = useState('');
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const projects = useMemo(() => listProjects(household, events), [household, events]);
  const reserved = lot.reserved ?? [];

  const parsed = parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
  const present = lot.lengthMm ?? 0;
  const promised = reserved.filter((one) => one.id !== forId).reduce((sum, one) => sum + one.amount, 0);
  const fault = !parsed.ok
    ? wordAmountFault(parsed.fault, units === 'metric' ? t('80 cm') : t('2 1/2 yd'))
    : parsed.value <= 0
      ? wordAmountFault({ code: 'zero', text }, units === 'metric' ? t('80 cm') : t('2 1/2 yd'))
      : parsed.value > present + 0.5
        ? wordActFault({ code: 'more-than-there-is', available: present }, units)
        : parsed.value > present - promised + 0.5
          ? wordActFault({ code: 'reserved', available: Math.max(0, present - promised), unit: 'length' }, units)
          : null;

  const cutMm = parsed.ok && fault === null ? parsed.value : null;
  const rest = useMemo(
    () => (cutMm === null ? null : judgeRest(household, lot.id, cutMm, forId || null)),
    [household, lot.id, cutMm, forId],
  );
  const restWords = rest ? wordRest(rest, household) : '';
  return (
    <Form
      opensBelow
      className="mt-4"
      onSend={() => {
        setTried(true);
        if (fault !== null || !parsed.ok) return undefined;
        return act((now) => createCut(now, lot.id, parsed.value, world.nowMs(), forId || null, forWhat)).then(
          (isDone) => {
            if (!isDone) return;
            onDone();
            if (restWords !== '')
              tell({
                tone: 'done',
                text: restWords,
                canUndo: true,
                offer: { label: t('Its ticket'), take: () => show({ type: 'lot', id: lot.id }) },
              });
          },
        );
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <TextField
        ref={input}
        label={t('How much to cut')}
        value={text}
        fault={isTried || (text !== '' && parsed.ok) ? (fault ?? undefined) : undefined}
        hint={
          parsed.ok && fault === null
            ? present - parsed.value < 0.5
              ? t('All of it; then it is used up.')
              : restWords ||
                t('Leaves {clothLength}.', { clothLength: formatClothLength(present - parsed.value, units) })
            : t('There are {clothLength}.', { clothLength: formatClothLength(present, units) })
        }
        onChange={(event) => setText(event.target.value)}
      />
      {reserved.length > 0 && (
        <SelectField label={t('For')} value={forId} onChange={(event) => setForId(event.target.value)}>
          <option value="">{t('something else: what is promised stays')}</option>
          {reserved.map((one) => (
            <option key={one.id} value={one.id}>
              {`${nameOfPromise(household, one)} (${formatClothLength(one.amount, units)})`}
            </option>
          ))}
        </SelectField>
      )}
      {forId === '' && (
        <>
          <TextField
            label={t('For which project')}
            placeholder={t('if you like')}
            of="events.forWhat"
            list="cut-projects"
            value={forWhat}
            onChange={(event) => setForWhat(event.target.value)}
          />
          <datalist id="cut-projects">
            {projects.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
        </>
      )}
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button look="strong" type="submit">
          {t('Cut')}
        </Button>
        <Button onClick={onDone}>{t('Leave it')}</Button>
      </div>
    </Form>
  );
}
