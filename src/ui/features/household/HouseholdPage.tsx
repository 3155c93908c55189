import { Link, useNavigate } from 'react-router';
import { format } from 'date-fns';
import { useState, type ChangeEvent } from 'react';
import { dropAbsent, parseRecord, type Settings } from '../../../core/records/index.ts';
import { formatSize, parseLengthMm } from '../../../core/units/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { KeptFileLine } from './KeptFileLine.tsx';
import { ImportButton } from '../../components/ImportButton.tsx';
import { Page } from '../../components/Page.tsx';
import { DaysBefore } from './DaysBefore.tsx';
import { EstimatesForm } from './EstimatesForm.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act, bringBack, edit, replace } from '../../state/hands.ts';
import { useBegan } from '../../state/began.ts';
import { useChoices } from '../../state/choices.ts';
import { computeUnsaved } from '../../state/unsaved.ts';
import { saveEverything } from '../../state/backup.ts';
import { capitalise, wordAmountFault, wordCount, wordRecordFault } from '../../text/index.ts';
import { createSaveSettings } from '../../../core/acts/index.ts';

/** Who lives here, how things are folded, and the file that holds everything. */
export function HouseholdPage() {
  return (
    <Page
      title="House"
      tabs={
        <span className="flex gap-5">
          <Link className={linkClass} to="/daybook">
            The daybook
          </Link>
          <Link className={linkClass} to="/ways">
            Where do I…
          </Link>
        </span>
      }
    >
      <div className="grid min-h-0 flex-1 content-start gap-x-12 gap-y-8 px-4 py-4 md:grid-cols-2 md:overflow-y-auto md:px-5">
        <div>
          <SettingsForm />
          <EstimatesForm />
        </div>
        <div className="space-y-8">
          <Files />
          <DaysBefore />
          <Beginnings />
        </div>
      </div>
    </Page>
  );
}

const SIZES = [
  ['statureMm', 'Your height', '1.68 m'],
  ['panelWidthMm', 'Folded cloth: width', '30 cm'],
  ['panelDepthMm', 'Folded cloth: depth', '28 cm'],
  ['boardWidthMm', 'Boards: width', '17 cm'],
  ['boardHeightMm', 'Boards: height', '26 cm'],
  ['boardThicknessMm', 'Boards: thickness', '1 mm'],
] as const;

function SettingsForm() {
  const { settings } = useHousehold();
  const [began, restart] = useBegan();
  const { units } = settings;
  /** Only what was typed and not yet saved; every other field shows what is recorded. */
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Record<string, string>>({});
  const recorded: Record<string, string> = {
    name: settings.name,
    small: settings.smallStatureMm === undefined ? '' : formatSize(settings.smallStatureMm, units),
    fill: String(Math.round((1 - settings.fillTarget) * 100)),
    ...Object.fromEntries(SIZES.map(([field]) => [field, formatSize(settings[field], units)])),
  };
  const fieldOf = (field: string) => ({
    value: typed[field] ?? recorded[field] ?? '',
    fault: faults[field],
    onChange: (event: ChangeEvent<HTMLInputElement>) => setTyped({ ...typed, [field]: event.target.value }),
  });

  const save = async () => {
    const change: Partial<Settings> = {};
    const found: Record<string, string> = {};
    const { name, fill } = typed;
    if (name !== undefined) change.name = name.trim();
    if (change.name === '') found['name'] = 'Give the room a name.';
    for (const [field, , example] of SIZES) {
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
      else if (!parsed.ok) found['small'] = wordAmountFault(parsed.fault, '1.20 m');
      else change.smallStatureMm = Math.round(parsed.value);
    }
    const free = Number(fill ?? recorded['fill']);
    if (fill?.trim() === '' || !(free >= 0 && free <= 70)) found['fill'] = 'From 0 to 70 per cent.';
    else if (fill !== undefined && fill !== recorded['fill']) change.fillTarget = 1 - free / 100;
    const checked =
      Object.keys(found).length === 0 ? parseRecord('settings', dropAbsent({ ...settings, ...change })) : null;
    if (checked && !checked.ok)
      for (const fault of checked.fault) found[fault.path] = capitalise(wordRecordFault(fault));
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

  return (
    <Form aria-label="The household" className="max-w-md space-y-3" onSend={save}>
      <h2 className="font-display text-lg font-semibold">The household</h2>
      <TextField label="Name" of="settings.name" {...fieldOf('name')} />
      <SelectField
        label="Units"
        value={units}
        onChange={(event) => set({ units: event.target.value as Settings['units'] })}
      >
        <option value="metric">Metres and centimetres</option>
        <option value="imperial">Yards and inches</option>
      </SelectField>
      <div>
        <CheckField
          label="Small children live here or visit"
          checked={settings.hasChildren}
          onChange={(event) => set({ hasChildren: event.target.checked })}
        />
        <CheckField
          label="Cats or other pets live here"
          checked={settings.hasPets}
          onChange={(event) => set({ hasPets: event.target.checked })}
        />
        {settings.hasChildren && (
          <p className="border-l-4 border-weld bg-linen p-2 text-sm">
            Blades, needles, small parts, irons, glue and dye are then planned only above 1.5 m or in places marked out
            of reach of children. A child who climbs reaches higher, and pulls at cords: lock away what is dangerous.
          </p>
        )}
      </div>
      <div className="grid grid-cols-2 items-start gap-3">
        {SIZES.map(([field, label]) => (
          <TextField key={field} label={label} {...fieldOf(field)} />
        ))}
        <TextField label="A small member’s height" hint="Empty: nobody’s reach but yours" {...fieldOf('small')} />
        <TextField
          label="Free in each place, %"
          hint="Plans try to leave so much"
          inputMode="numeric"
          {...fieldOf('fill')}
        />
      </div>
      <Button look="strong" type="submit">
        Save
      </Button>
    </Form>
  );
}

function Files() {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const generation = useApp((state) => state.generation);
  const saved = useChoices((state) => state.saved);
  const unsaved = computeUnsaved({ generation, events }, saved, world.nowMs());
  return (
    <section aria-label="Your file" className="max-w-md">
      <h2 className="font-display text-lg font-semibold">Your file</h2>
      <p className="mt-1 text-stone">
        Everything stays in this browser:{' '}
        <span {...explained('The records of each table, what is gone and what is put away included.')}>
          {wordCount(household.lots.size, 'thing')}, {wordCount(household.places.size, 'place')}
        </span>
        . Save it to one file now and then, and open that file in any other browser.
      </p>
      <p
        className="mt-1"
        {...explained('When a file of this household was last saved here, and the lines written since.')}
      >
        {unsaved.savedAtMs === null
          ? 'No file of it was saved from this browser yet.'
          : `Last saved ${format(unsaved.savedAtMs, 'd MMMM yyyy, HH:mm')}; ${unsaved.lines === 0 ? 'nothing was written since' : `${wordCount(unsaved.lines, 'line')} of the daybook since`}.`}
      </p>
      <div className="mt-3 flex flex-wrap items-start gap-3">
        <Button look="strong" onClick={() => void saveEverything()}>
          Save everything to a file
        </Button>
        <ImportButton />
      </div>
      <KeptFileLine />
    </section>
  );
}

function Beginnings() {
  const [has, setHas] = useState<boolean | null>(null);
  const navigate = useNavigate();
  const load = async (which: 'sample' | 'kitchen' | 'empty') => {
    const [{ createEmptyHousehold }, { openMadeSample }] = await Promise.all([
      import('../../../sample/empty.ts'),
      import('../../../sample/made.ts'),
    ]);
    if (which === 'sample') await replace(openMadeSample(), 'Heron Loft is here again, in its first disorder.');
    else if (which === 'kitchen')
      await replace(
        (await import('../../../sample/kitchen.ts')).createKitchenHousehold(),
        'Tern Steps is here: a beginner at the kitchen table.',
      );
    else if (await replace(createEmptyHousehold(), 'An empty sewing room is ready.')) return navigate('/setout');
    setHas(true);
  };
  return (
    <section aria-label="Begin again" className="max-w-md">
      <h2 className="font-display text-lg font-semibold">Begin again</h2>
      <p className="mt-1 text-stone">
        What is here now is set aside, and one click brings it back until another household is opened.
      </p>
      <p className="mt-1 text-stone">
        Or{' '}
        <Link className="text-woad underline" to="/setout">
          set this room out
        </Link>{' '}
        step by step; nothing is lost by it.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button onClick={() => void load('empty')}>Start empty</Button>
        <Button onClick={() => void load('sample')}>Open the sample</Button>
        <Button onClick={() => void load('kitchen')}>Open the small sample</Button>
        <Button disabled={has === false} onClick={() => void bringBack().then((isBack) => setHas(isBack))}>
          Bring back the one before
        </Button>
      </div>
    </section>
  );
}
