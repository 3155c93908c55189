import { useMemo, useState, type ChangeEvent } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import { dropAbsent, parseRecord, type Household, type Settings } from '../../../core/records/index.ts';
import { computeBands } from '../../../core/storage/index.ts';
import { formatClothLength, formatSize, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { useHousehold } from '../../state/app.ts';
import { useBegan } from '../../state/began.ts';
import { act, edit } from '../../state/hands.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { perLanguage, t } from '../../language/index.ts';

const SIZES = perLanguage(
  () =>
    [
      ['statureMm', t('Your height'), t('1.68 m')],
      ['panelWidthMm', t('Folded cloth: width'), t('30 cm')],
      ['panelDepthMm', t('Folded cloth: depth'), t('28 cm')],
      ['boardWidthMm', t('Boards: width'), t('17 cm')],
      ['boardHeightMm', t('Boards: height'), t('26 cm')],
      ['boardThicknessMm', t('Boards: thickness'), t('1 mm')],
    ] as const,
);

/** What was typed, as a change of the settings, and what of it cannot be read. */
function readTyped(
  typed: Readonly<Record<string, string>>,
  recorded: Readonly<Record<string, string>>,
  units: Settings['units'],
): { change: Partial<Settings>; found: Record<string, string> } {
  const change: Partial<Settings> = {};
  const found: Record<string, string> = {};
  const { name, fill } = typed;
  if (name !== undefined) change.name = name.trim();
  if (change.name === '') found['name'] = t('Give the room a name.');
  for (const [field, , example] of SIZES()) {
    const text = typed[field];
    if (text === undefined || text === recorded[field]) continue;
    const parsed = parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
    if (!parsed.ok) found[field] = wordAmountFault(parsed.fault, example);
    else change[field] = field === 'statureMm' ? Math.round(parsed.value) : parsed.value;
  }
  const small = typed['small'];
  if (small !== undefined && small !== recorded['small']) {
    const parsed = parseLengthMm(small, units === 'metric' ? 'cm' : 'in');
    if (small.trim() === '') change.smallStatureMm = undefined;
    else if (!parsed.ok) found['small'] = wordAmountFault(parsed.fault, t('1.20 m'));
    else change.smallStatureMm = Math.round(parsed.value);
  }
  const free = Number(fill ?? recorded['fill']);
  if (fill?.trim() === '' || !(free >= 0 && free <= 70)) found['fill'] = t('From 0 to 70 per cent.');
  else if (fill !== undefined && fill !== recorded['fill']) change.fillTarget = 1 - free / 100;
  return { change, found };
}

/** Reach is told for rooms no higher than this. */
const HIGHEST_MM = 2600;

/** Who lives here and how cloth is folded; what each figure makes of the room stands beside it. */
export function SettingsForm() {
  const household = useHousehold();
  const { settings } = household;
  const [began, restart] = useBegan();
  const { units } = settings;
  /** Only what was typed and not yet saved; every other field shows what is recorded. */
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Record<string, string>>({});
  const recorded: Record<string, string> = {
    name: settings.name,
    small: settings.smallStatureMm === undefined ? '' : formatSize(settings.smallStatureMm, units),
    fill: String(Math.round((1 - settings.fillTarget) * 100)),
    ...Object.fromEntries(SIZES().map(([field]) => [field, formatSize(settings[field], units)])),
  };
  const fieldOf = (field: string) => ({
    value: typed[field] ?? recorded[field] ?? '',
    fault: faults[field],
    onChange: (event: ChangeEvent<HTMLInputElement>) => setTyped({ ...typed, [field]: event.target.value }),
  });

  const save = async () => {
    const { change, found } = readTyped(typed, recorded, units);
    const checked =
      Object.keys(found).length === 0 ? parseRecord('settings', dropAbsent({ ...settings, ...change })) : null;
    if (checked && !checked.ok)
      for (const fault of checked.fault)
        found[fault.path === 'smallStatureMm' ? 'small' : fault.path] = wordRecordFaults([fault], units);
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    const merge = (from: { settings: Settings }): Settings => {
      const next = { ...from.settings, ...change };
      // Emptied, it is absent: a record has no field without a value.
      if (next.smallStatureMm === undefined) delete next.smallStatureMm;
      return next;
    };
    if (!(await edit(began, (from) => createSaveSettings(from, merge(from))))) return;
    setTyped({});
    restart();
  };
  const set = (change: Partial<Settings>) => void act((now) => createSaveSettings(now, { ...now.settings, ...change }));

  /** As the fields stand now, as far as they can be read. */
  const next: Settings = { ...settings, ...readTyped(typed, recorded, units).change };
  const size = (field: ReturnType<typeof SIZES>[number][0]) => (
    <TextField label={SIZES().find(([one]) => one === field)![1]} {...fieldOf(field)} />
  );

  return (
    <Form aria-label={t('The household')} className="grid items-start gap-x-10 gap-y-6 md:grid-cols-2" onSend={save}>
      <section className="space-y-3">
        <h2 className="font-display text-lg font-semibold">{t('The household')}</h2>
        <TextField label={t('Name')} of="settings.name" {...fieldOf('name')} />
        <SelectField
          label={t('Units')}
          value={units}
          onChange={(event) => set({ units: event.target.value as Settings['units'] })}
        >
          <option value="metric">{t('Metres and centimetres')}</option>
          <option value="imperial">{t('Yards and inches')}</option>
        </SelectField>
        <div>
          <CheckField
            label={t('Small children live here or visit')}
            checked={settings.hasChildren}
            onChange={(event) => set({ hasChildren: event.target.checked })}
          />
          {settings.hasChildren && (
            <p className="my-1 border-l-4 border-weld bg-linen p-2 text-sm">
              {t(
                'Blades, needles, small parts, irons, glue and dye are then planned only above 1.5 m or in places marked out of reach of children. A child who climbs reaches higher, and pulls at cords: lock away what is dangerous.',
              )}
            </p>
          )}
          <CheckField
            label={t('Cats or other pets live here')}
            checked={settings.hasPets}
            onChange={(event) => set({ hasPets: event.target.checked })}
          />
          <p className="text-sm text-stone">
            {t('Thread, elastic and cord lying where a pet gets at them are then told.')}
          </p>
        </div>
      </section>
      <section className="space-y-3">
        <h2 className="font-display text-lg font-semibold">{t('Reach')}</h2>
        <div className="grid grid-cols-2 items-start gap-3">
          {size('statureMm')}
          <TextField label={t('A small member’s height')} {...fieldOf('small')} />
        </div>
        <Reach settings={next} />
        <h2 className="pt-2 font-display text-lg font-semibold">{t('How cloth is folded')}</h2>
        <div className="grid grid-cols-2 items-start gap-3">
          {size('panelWidthMm')}
          {size('panelDepthMm')}
          {size('boardWidthMm')}
          {size('boardHeightMm')}
          {size('boardThicknessMm')}
          <TextField label={t('Free in each place, %')} inputMode="numeric" {...fieldOf('fill')} />
        </div>
        <Folded household={household} settings={next} />
        <p className="text-sm text-stone">{t('Plans try to leave so much of each place free, for what comes next.')}</p>
        <Button look="strong" type="submit">
          {t('Save')}
        </Button>
      </section>
    </Form>
  );
}

/** Where one reaches with ease, by one's height. */
function Reach({ settings }: { settings: Settings }) {
  const easy = computeBands(settings, 'standing', HIGHEST_MM).find(({ reach }) => reach === 'easy');
  if (!easy) return null;
  const { units } = settings;
  return (
    <p
      className="text-sm text-stone"
      {...explained(
        t('Shares of your height, by tables of how far people reach. A cautious middle; try it at your wall.'),
      )}
    >
      {t(
        'You reach with ease from {from} to {to} above the floor; walls show it, and what you use most is planned there. Leave the small member’s height empty where nobody else’s reach counts.',
        { from: formatSize(easy.fromMm, units), to: formatSize(easy.toMm, units) },
      )}
    </p>
  );
}

/** A cloth of one's own as it would be with these sizes: the piece in the middle of all by its length. */
function Folded({ household, settings }: { household: Household; settings: Settings }) {
  const cloth = useMemo(() => {
    const lots = [...household.lots.values()].filter(
      (lot) => lot.lengthMm !== undefined && household.items.get(lot.itemId)?.kind === 'fabric',
    );
    return lots.toSorted((a, b) => a.lengthMm! - b.lengthMm!)[Math.floor(lots.length / 2)];
  }, [household]);
  const item = cloth && household.items.get(cloth.itemId);
  if (!item) return null;
  const { units } = settings;
  const pile = computePackage(item, cloth, 'stack', settings);
  const board = computePackage(item, cloth, 'board', settings);
  return (
    <p
      className="text-sm text-stone"
      {...explained(t('Layers of this cloth, by its own thickness, folded or wrapped to the sizes above.'))}
    >
      {item.name}, {formatClothLength(cloth.lengthMm!, units)}
      {pile && t(': folded {size} high', { size: formatSize(pile.heightMm, units) })}
      {board && t(', on a board {size} thick', { size: formatSize(board.alongMm, units) })}.
    </p>
  );
}
