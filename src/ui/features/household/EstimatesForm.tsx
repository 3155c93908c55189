import { useMemo, useState } from 'react';
import { getFetchSeconds, parseRecord, type Estimates, type Household } from '../../../core/records/index.ts';
import { findPreset, getPreset, PRESETS, type Preset } from '../../../core/records/presets.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useHousehold } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { useBegan } from '../../state/began.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { formatShort, perLanguage, t } from '../../language/index.ts';
import { wordChange } from '../../text/change.ts';

const PRESET_WORDS = perLanguage((): Record<Preset, string> => ({
  usual: t('The usual figures'),
  nearest: t('Everyday things nearest'),
  seen: t('Cloth where one sees it'),
  dustFree: t('Out of dust and light'),
  settled: t('As little moved as possible'),
}));

const FIELDS = perLanguage(
  (): readonly { title: string; fields: readonly (readonly [keyof Estimates, string])[] }[] => [
    {
      title: t('To get there, seconds'),
      fields: [
        ['walkSecondsPerM', t('Walk a metre')],
        ['otherRoomSeconds', t('Go to another room')],
        ['bendSeconds', t('Bend and rise')],
        ['kneelSeconds', t('Kneel and rise')],
        ['stretchSeconds', t('Stretch')],
        ['stoolSeconds', t('Fetch the stool')],
        ['doorSeconds', t('Open a door')],
        ['drawerSeconds', t('Open a drawer')],
        ['pullBinSeconds', t('Pull a bin out and back')],
        ['lidSeconds', t('Take a lid off')],
        ['liftOffSeconds', t('Lift off what lies on it')],
        ['unhookSeconds', t('Unhook it')],
        ['hookInFrontSeconds', t('Each hung in front')],
      ],
    },
    {
      title: t('To find it, seconds'),
      fields: [
        ['findSeconds', t('Where all is labelled')],
        ['passVisibleSeconds', t('Pass one that shows')],
        ['passOpaqueSeconds', t('Pass one out of sight')],
        ['passGroupSeconds', t('Pass another group')],
        ['splitPlaceSeconds', t('Wrong place first')],
        ['splitUnitSeconds', t('Wrong piece first')],
        ['splitRoomSeconds', t('Wrong room first')],
        ['homelessSeconds', t('What has no home')],
      ],
    },
    {
      title: t('Two groups in one place, seconds a month'),
      fields: [
        ['nearSeconds', t('Near kin')],
        ['kindSeconds', t('Of one kind')],
        ['stationSeconds', t('Used together')],
        ['strangerSeconds', t('Strangers')],
        ['clashSeconds', t('They spoil each other')],
      ],
    },
    {
      title: t('What it is worth to you, seconds a month'),
      fields: [
        ['hiddenSeconds', t('Each cloth in sight')],
        ['rentSeconds', t('A litre left free at hand')],
        ['furtherPlaceSeconds', t('A group in a place less')],
        ['furtherUnitSeconds', t('In a piece less')],
        ['furtherRoomSeconds', t('In a room less')],
        ['nameSeconds', t('A group where its name is')],
        ['looseSeconds', t('No small thing loose')],
        ['floppySeconds', t('What is floppy held in')],
        ['formSeconds', t('Kept in its best form')],
        ['floorSeconds', t('Nothing on the bare floor')],
        ['tableSeconds', t('A thing less on a table')],
        ['crowdSeconds', t('A place not crammed')],
        ['fadeSeconds', t('No sun on a cloth')],
        ['dustSeconds', t('No dust on a cloth')],
        ['mothSeconds', t('No moths in the wool')],
        ['carrySeconds', t('Carry one thing, once')],
        ['carryBinSeconds', t('Carry one bin, once')],
        ['relearnSeconds', t('Learn a new home, once')],
        ['carryMonths', t('It pays back in months')],
      ],
    },
  ],
);

const HOW_PART = perLanguage(() =>
  t(
    'Today as it is was scored with the figure and once more with nought in its place: the difference. All of them together are what fetching, crowding and wear come to.',
  ),
);

/** What a figure makes of today's minutes; carrying costs only when something is carried. */
function wordPart(
  field: keyof Estimates,
  seconds: number,
  { carrySeconds, carryBinSeconds, relearnSeconds, carryMonths }: Estimates,
): string {
  const each = (once: number, what = t('100 things'), n = 100) =>
    t('{guess}: {minutes} a month', { guess: what, minutes: formatMinutes((n * once) / carryMonths) });
  if (field === 'carrySeconds') return each(carrySeconds);
  if (field === 'carryBinSeconds') return each(carryBinSeconds, t('10 bins'), 10);
  if (field === 'relearnSeconds') return each(relearnSeconds);
  if (field === 'carryMonths') return t('for that long carrying is spread');
  return seconds < 0.5 ? t('nothing today') : t('{minutes} a month today', { minutes: formatMinutes(seconds) });
}

/** What today would come to with the figures that are typed, before they are kept. */
function Effect({ household, now, next }: { household: Household; now: Estimates; next: Estimates }) {
  const key = JSON.stringify(next);
  const wanted = useMemo(() => JSON.parse(key) as Estimates, [key]);
  const { answer: before, again: beforeAgain } = useAnswer(household, 'scoreWith', now);
  const { answer: after, again: afterAgain } = useAnswer(household, 'scoreWith', wanted);
  if (beforeAgain ?? afterAgain) return <Unanswered again={beforeAgain ?? afterAgain} />;
  if (JSON.stringify(now) === key || before === null || after === null) return null;
  const more = after - before;
  return (
    <p
      role="status"
      className="min-w-0 flex-1"
      {...explained(
        t('Today as it is, with crowding and wear, scored with the figures that are kept and with those typed.'),
      )}
    >
      {t('With what you typed: {change}, of {minutes} with wear and crowding.', {
        change: Math.abs(more) < 1 ? t('no change today') : wordChange(more),
        minutes: formatMinutes(before),
      })}
    </p>
  );
}

/** What fetching, looking and moving cost: every figure behind the minutes, to be changed; and what today costs with them. */
export function EstimatesForm() {
  const household = useHousehold();
  const { settings } = household;
  const { answer: today, again } = useAnswer(household, 'today', null);
  const { answer: parts, again: partsAgain } = useAnswer(household, 'estimateParts', null);
  const [began, restart] = useBegan();
  const [typed, setTyped] = useState<Partial<Record<keyof Estimates, string>>>({});
  const read = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const change = Object.fromEntries(Object.entries(typed).map(([field, text]) => [field, read(text)]));
  const next: Estimates = { ...settings.estimates, ...change };
  const checked = parseRecord('settings', { ...settings, estimates: next });
  const wrong = new Set(checked.ok ? [] : checked.fault.map(({ path }) => path.replace('estimates.', '')));
  const save = async () => {
    if (wrong.size > 0) return;
    const lay = ({ settings: was }: Household) => ({ ...was, estimates: { ...was.estimates, ...change } });
    if (!(await edit(began, (from) => createSaveSettings(from, lay(from))))) return;
    setTyped({});
    restart();
  };
  const preset = findPreset(settings.estimates);
  return (
    <Form aria-label={t('What things cost')} className="mt-8 max-w-md space-y-3" onSend={save}>
      <h2 className="font-display text-lg font-semibold">{t('What things cost')}</h2>
      <p className="text-stone">
        {t('Every minute that Yardmist shows is made of these figures, and plans weigh by them. Today as it is:')}{' '}
        <strong
          className="text-ink"
          {...explained(
            t(
              'Today as it is: the way and the reach, looking for it, and looking in the wrong place first, added up with the figures below.',
            ),
          )}
        >
          {today ? formatMinutes(getFetchSeconds(today)) : '…'}
        </strong>{' '}
        {t('a month.')}
      </p>
      <Unanswered again={again ?? partsAgain} />
      <SelectField
        label={t('Plans look for')}
        value={preset ?? ''}
        onChange={(event) => {
          setTyped({});
          const estimates = getPreset(event.target.value as Preset);
          void act((now) => createSaveSettings(now, { ...now.settings, estimates }));
        }}
      >
        {preset === null && <option value="">{t('your own figures')}</option>}
        {PRESETS.map((one) => (
          <option key={one} value={one}>
            {PRESET_WORDS()[one]}
          </option>
        ))}
      </SelectField>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 font-semibold text-woad md:min-h-0">
          {t('Every figure')}
        </summary>
        {FIELDS().map(({ title, fields }) => (
          <fieldset key={title} className="mt-3">
            <legend className="text-sm font-bold">{title}</legend>
            <div className="grid grid-cols-2 items-start gap-3">
              {fields.map(([field, label]) => (
                <TextField
                  key={field}
                  label={label}
                  inputMode="decimal"
                  value={typed[field] ?? formatShort(settings.estimates[field])}
                  fault={wrong.has(field) ? t('A number of seconds, such as 2.5.') : undefined}
                  hint={parts ? wordPart(field, parts[field], settings.estimates) : undefined}
                  how={HOW_PART()}
                  onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
                />
              ))}
            </div>
          </fieldset>
        ))}
        <div className="sticky -bottom-6 mt-3 flex flex-wrap items-center gap-3 bg-mist pt-3 pb-6">
          <Button look="strong" type="submit" disabled={wrong.size > 0}>
            {t('Save the figures')}
          </Button>
          {wrong.size === 0 && <Effect household={household} now={settings.estimates} next={next} />}
        </div>
      </details>
    </Form>
  );
}
