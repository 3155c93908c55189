import { useState } from 'react';
import { estimateSeam, type NeedStanding } from '../../../core/projects/index.ts';
import { STITCHES, type Cutting, type Need, type Project, type Stitch } from '../../../core/records/index.ts';
import {
  formatClothLength,
  formatSize,
  parseLengthMm,
  type UnitSystem,
  parseAmountIn,
} from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold } from '../../state/app.ts';
import { capitalise, wordAmountFault } from '../../text/index.ts';
import { wordStitch } from '../../text/projects.ts';
import { formatShort, perLanguage, t, wordTerm, readTerm } from '../../language/index.ts';

interface NeedFormProps {
  readonly project: Project;
  readonly standing: NeedStanding;
  readonly onKeep: (part: Partial<Need>) => Promise<boolean>;
  readonly onRemove: () => Promise<boolean>;
  readonly onDone: () => void;
}

/** Lengths that a cutting figure can have, mm; as its class says. */
const MOST = { repeatMm: 3000, straightenMm: 500, selvageMm: 200, seamMm: 100 };
type Figure = keyof typeof MOST;
const FIGURES = perLanguage((): readonly (readonly [Figure, string, string])[] => [
  ['repeatMm', t('Repeat of the print to match'), t('none')],
  ['straightenMm', t('Cut straight at each end'), ''],
  ['selvageMm', t('Selvage not used'), ''],
  ['seamMm', t('Seams not in the pieces'), t('none')],
]);

interface Typed extends Record<Figure, string> {
  part: string;
  amount: string;
  seam: string;
  stitch: string;
  oneWay: string;
  shrinkPercent: string;
}

function toTyped({ need, unit }: NeedStanding, units: UnitSystem): Typed {
  const { cutting = {}, amount, part } = need;
  const size = (mm: number | undefined) => (mm === undefined ? '' : formatSize(mm, units));
  return {
    part: wordTerm(part),
    seam: need.seamMm === undefined ? '' : formatClothLength(need.seamMm, units),
    stitch: need.stitch ?? 'lockstitch',
    amount: amount === undefined ? '' : unit === 'length' ? formatClothLength(amount, units) : formatShort(amount),
    oneWay: cutting.isOneWay === undefined ? '' : cutting.isOneWay ? 'yes' : 'no',
    shrinkPercent: cutting.shrinkPercent === undefined ? '' : formatShort(cutting.shrinkPercent),
    repeatMm: size(cutting.repeatMm),
    straightenMm: size(cutting.straightenMm),
    selvageMm: size(cutting.selvageMm),
    seamMm: size(cutting.seamMm),
  };
}

type Faults = Partial<Record<keyof Typed, string>>;

/** What was typed, read; an empty field is absent. */
function readTyped(
  typed: Typed,
  unit: NeedStanding['unit'],
  units: UnitSystem,
): { part: Partial<Need>; faults: Faults } {
  const faults: Faults = {};
  if (typed.part.trim() === '') faults.part = t('It needs a name.');
  let amount: number | undefined;
  if (typed.amount.trim() !== '') {
    const read = parseAmountIn(typed.amount, unit, units);
    if (!read.ok) faults.amount = wordAmountFault(read.fault, unit === 'length' ? formatClothLength(2400, units) : '6');
    else if (read.value <= 0) faults.amount = t('It must be more than nothing.');
    else amount = read.value;
  }
  let seamMm: number | undefined;
  if (typed.seam.trim() !== '') {
    const read = parseLengthMm(typed.seam, units === 'metric' ? 'm' : 'yd');
    if (!read.ok || read.value > 1e7)
      faults.seam = t('Such as {clothLength}.', { clothLength: formatClothLength(18_000, units) });
    else seamMm = read.value;
  }
  const stitch = seamMm === undefined ? undefined : (typed.stitch as Stitch);
  const cutting: Cutting = {};
  if (typed.oneWay !== '') cutting.isOneWay = typed.oneWay === 'yes';
  if (typed.shrinkPercent.trim() !== '') {
    const percent = Number(typed.shrinkPercent.replace('%', '').replace(',', '.'));
    if (percent >= 0 && percent <= 30) cutting.shrinkPercent = percent;
    else faults.shrinkPercent = t('Between 0 and 30 per cent.');
  }
  for (const [name] of FIGURES()) {
    if (typed[name].trim() === '') continue;
    const read = parseLengthMm(typed[name], units === 'metric' ? 'cm' : 'in');
    if (!read.ok) faults[name] = wordAmountFault(read.fault, formatSize(50, units));
    else if (read.value > MOST[name]) faults[name] = t('At most {size}.', { size: formatSize(MOST[name], units) });
    else cutting[name] = read.value;
  }
  return {
    part: {
      part: readTerm(typed.part.trim()),
      amount,
      seamMm,
      stitch,
      cutting: Object.keys(cutting).length > 0 ? cutting : undefined,
    },
    faults,
  };
}

/** What a need is called, how much it takes, and what is reckoned with when it is cut; an empty field is as usual. */
export function NeedForm({ project, standing, onKeep, onRemove, onDone }: NeedFormProps) {
  const { need, found, unit } = standing;
  const { units } = useHousehold().settings;
  const isCloth = need.kind === 'fabric';
  const seamMm = Math.round(estimateSeam(project.pieces ?? []) / 100) * 100;
  const [typed, setTyped] = useState(() => toTyped(standing, units));
  const { part, faults } = readTyped(typed, unit, units);
  const used = found?.ok ? found.value.figures : null;
  const field = (name: keyof Typed) => ({
    value: typed[name],
    fault: faults[name],
    onChange: ({ target }: { target: { value: string } }) => setTyped({ ...typed, [name]: target.value }),
  });
  return (
    <Form
      aria-label={t('Change {part}', { part: wordTerm(need.part) })}
      className="mt-1 border-l-4 border-woad bg-linen p-3"
      onSend={() => (Object.keys(faults).length > 0 ? undefined : onKeep(part).then(onDone))}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={isCloth ? t('Which cloth of it') : t('What it is')}
          of="projects.needs.part"
          autoFocus
          {...field('part')}
        />
        <TextField
          label={t('How much')}
          hint={isCloth ? t('Empty: it is worked out') : t('Empty: one')}
          {...field('amount')}
        />
        {need.kind === 'thread' && (
          <>
            <TextField
              label={t('So much is sewn with it')}
              placeholder={
                seamMm > 0 ? t('about {clothLength}', { clothLength: formatClothLength(seamMm, units) }) : ''
              }
              hint={seamMm > 0 ? t('By the edges of its pieces, about') : t('All its seams, end to end')}
              how={t('Six tenths of the edges of all pieces: two of them make a seam, hems are sewn once.')}
              {...field('seam')}
            />
            <SelectField
              label={t('Sewn by')}
              value={typed.stitch}
              onChange={({ target }) => setTyped({ ...typed, stitch: target.value })}
            >
              {STITCHES.map((one) => (
                <option key={one} value={one}>
                  {capitalise(wordStitch(one))}
                </option>
              ))}
            </SelectField>
          </>
        )}
        {isCloth && (
          <>
            <SelectField
              label={t('All pieces one way up')}
              value={typed.oneWay}
              onChange={({ target }) => setTyped({ ...typed, oneWay: target.value })}
            >
              <option value="">{t('as the cloth says')}</option>
              <option value="yes">{t('yes')}</option>
              <option value="no">{t('no')}</option>
            </SelectField>
            <TextField
              label={t('Shrinks, per cent')}
              placeholder={used ? formatShort(used.shrinkPercent) : ''}
              hint={t('Empty: as its fibre does, unless washed')}
              {...field('shrinkPercent')}
            />
            {FIGURES().map(([name, label, none]) => (
              <TextField
                key={name}
                label={label}
                placeholder={used && used[name] > 0 ? formatSize(used[name], units) : none}
                {...field(name)}
              />
            ))}
          </>
        )}
      </div>
      <FormFoot save={t('Keep it')} onDone={onDone}>
        <Button look="quiet" onClick={() => void onRemove().then((isDone) => isDone && onDone())}>
          {t('It does not take this')}
        </Button>
      </FormFoot>
    </Form>
  );
}
