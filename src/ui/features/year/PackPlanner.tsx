import { useMemo, useState } from 'react';
import { createSaveSettings } from '../../../core/acts/index.ts';
import { createPackUp, formatBoxLine, parseBoxLine, USUAL_LIFT_G, type PackPlan } from '../../../core/packup/index.ts';
import type { BoxSize } from '../../../core/records/index.ts';
import { formatMass, parseMassG, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Form } from '../../components/Form.tsx';
import { AreaField, TextField } from '../../components/fields.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useGroups } from '../../state/groups.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordGroup } from '../../text/index.ts';
import { perLanguage, t } from '../../language/index.ts';

const USUAL = perLanguage((): Readonly<Record<UnitSystem, string>> => ({
  metric: t('40 middle 60 x 40 x 40\n20 small 40 x 30 x 30'),
  imperial: t('40 middle 24 x 16 x 16\n20 small 16 x 12 x 12'),
}));
const WHY = perLanguage(
  () =>
    ({
      size: t('goes into no box'),
      heavy: t('is too heavy for one'),
      'no-box': t('is left when the boxes are full'),
    }) as const,
);

/** The boxes there are, what one carries, and what would go into each. */
export function PackPlanner() {
  const household = useHousehold();
  const { units, moving } = household.settings;
  const [text, setText] = useState(
    moving ? moving.boxes.map((size) => formatBoxLine(size, units)).join('\n') : USUAL()[units],
  );
  const [lift, setLift] = useState(formatMass(moving?.liftG ?? USUAL_LIFT_G, units));
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const read = lines.map((line) => ({ line, size: parseBoxLine(line, units, t('boxes')) }));
  const bad = read.find(({ size }) => !size.ok);
  const fault = bad
    ? t('“{line}” does not read: write 20 middle {size}, from 5 cm to 3 m a side.', {
        line: bad.line.trim(),
        size: units === 'metric' ? t('60 x 40 x 40') : t('24 x 16 x 16'),
      })
    : lines.length === 0
      ? t('Say what boxes there are.')
      : lines.length > 20
        ? t('At most 20 sizes.')
        : undefined;
  const mass = parseMassG(lift, units === 'metric' ? 'kg' : 'oz');
  const liftFault = mass.ok && mass.value >= 1000 && mass.value <= 60_000 ? undefined : t('Between 1 and 60 kg.');
  const [asked, setAsked] = useState<{ sizes: readonly BoxSize[]; liftG: number } | null>(
    moving ? { sizes: moving.boxes, liftG: moving.liftG } : null,
  );
  const plan = () => {
    if (fault || liftFault || !mass.ok) return undefined;
    const sizes = read.flatMap(({ size }, n) => (size.ok ? [{ id: `size-${n + 1}`, ...size.value }] : []));
    return act((now) =>
      createSaveSettings(now, { ...now.settings, moving: { boxes: [...sizes], liftG: mass.value } }),
    ).then(() => setAsked({ sizes, liftG: mass.value }));
  };
  return (
    <>
      <h2 className="font-display text-xl font-semibold">{t('Moving house')}</h2>
      <p className="max-w-prose text-stone">
        {t(
          'Everything in boxes that you can carry, group by group, liquids and blades apart, what you need first coming out first. The boxes are places: Find knows what is in which, and Labels prints what is on them.',
        )}
      </p>
      <Form aria-label={t('Boxes')} className="mt-3 max-w-xl border-l-4 border-woad bg-linen p-3" onSend={plan}>
        <div data-name>
          <AreaField
            label={t('The boxes you have, a line each: how many, and their inside across × deep × high')}
            rows={3}
            maxLength={2000}
            value={text}
            fault={fault}
            onChange={({ target }) => setText(target.value)}
          />
        </div>
        <div className="mt-2 w-44">
          <TextField
            label={t('At most in one box')}
            value={lift}
            fault={liftFault}
            onChange={({ target }) => setLift(target.value)}
          />
        </div>
        <Button type="submit" look="strong" className="mt-3">
          {t('Plan the boxes')}
        </Button>
      </Form>
      {asked && <Planned asked={asked} />}
    </>
  );
}

function Planned({ asked }: { asked: { readonly sizes: readonly BoxSize[]; readonly liftG: number } }) {
  const household = useHousehold();
  const { answer, again } = useAnswer(household, 'boxes', asked);
  const { units } = household.settings;
  const groups = useGroups(household);
  const names = useMemo(
    () => new Map(groups.map((group) => [group.id, wordGroup(group, household)])),
    [groups, household],
  );
  if (again) return <Unanswered again={again} />;
  if (!answer)
    return (
      <p role="status" className="mt-3 text-stone">
        {t('Packing…')}
      </p>
    );
  const { boxes, loose, leastBoxes } = answer;
  const groupsOf = (box: PackPlan['boxes'][number]) =>
    box.groupIds.map((id) => names.get(id) ?? t('what belongs to no group'));
  return (
    <section aria-label={t('The boxes')} className="mt-4 max-w-3xl">
      <p
        className="font-display text-xl font-semibold"
        {...explained(
          t(
            'Each was really packed. The least is what its room in the largest box and its weight ask for, class by class.',
          ),
        )}
      >
        {boxes.length === 0
          ? t('Nothing goes into these boxes.')
          : t('{boxes, plural, one {# box} other {# boxes}}; no packing takes fewer than {leastBoxes}', {
              boxes: boxes.length,
              leastBoxes,
            })}
      </p>
      <ol aria-label={t('What goes into each')}>
        {boxes.map((box, n) => (
          <li key={n} className="dotted-row flex flex-wrap items-baseline gap-x-4 py-1">
            <strong {...explained(t('In the order in which they go into the van: what is needed first goes in last.'))}>
              {t('Box {number}', { number: n + 1 })}
            </strong>
            <span className="min-w-0 flex-1" data-name>
              {groupsOf(box).slice(0, 4).join(', ')}
              {box.groupIds.length > 4 && t(' and {groupIds} more', { groupIds: box.groupIds.length - 4 })}
              {box.class === 'liquid' && t(' (liquids: upright, apart)')}
              {box.class === 'sharp' && t(' (blades and points)')}
            </span>
            <span className="text-stone" data-name>
              {box.size.name}
            </span>
            <span className="tabular" {...explained(t('All that goes in weighs this, without the box.'))}>
              {t('{lots, plural, one {# thing} other {# things}}, {mass}', {
                lots: box.lots.length,
                mass: formatMass(box.massG, units),
              })}
            </span>
          </li>
        ))}
      </ol>
      {loose.length > 0 && (
        <details className="mt-2">
          <summary
            className="min-h-9 cursor-pointer py-1 text-madder"
            {...explained(t('Things that are carried as they are.'))}
          >
            {t('{loose, plural, one {# thing} other {# things}} carried without a box', { loose: loose.length })}
          </summary>
          <ul>
            {loose.map(({ lotId, why }) => (
              <li key={lotId} data-name>
                {household.items.get(household.lots.get(lotId)!.itemId)?.name} {WHY()[why]}
              </li>
            ))}
          </ul>
        </details>
      )}
      {boxes.length > 0 && (
        <Button
          look="strong"
          className="mt-3"
          onClick={() =>
            void act(
              (now) => createPackUp(now, answer, asked.liftG, () => world.createId(), world.nowMs()),
              t('The boxes stand ready. What goes into each belongs there until it is unpacked.'),
            )
          }
        >
          {t('Pack it so')}
        </Button>
      )}
    </section>
  );
}
