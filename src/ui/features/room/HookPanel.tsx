import type { PegHook, PegSpec, Place } from '../../../core/records/index.ts';
import { getAncestor, getHoleMm, getPegFamily, HOOK_KINDS } from '../../../core/storage/index.ts';
import { formatMass, formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Row, SelectField } from '../../components/fields.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { wordHookKind, wordPegFamily } from '../../text/rebuild.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { nameHooks } from '../../../core/suppose/index.ts';
import { t } from '../../language/index.ts';

function wordHook({ projectionMm, loadG, wireMm }: Omit<PegHook, 'family' | 'column' | 'row'>, units: UnitSystem) {
  return t('{length} long, {wire} wire, carries {mass}', {
    length: formatSize(projectionMm, units),
    wire: formatSize(wireMm, units),
    mass: formatMass(loadG, units),
  });
}

/** Alike hooks, counted; the most first. */
function countAlike(hooks: readonly PegHook[]): { hook: PegHook; count: number }[] {
  const kinds = new Map<string, { hook: PegHook; count: number }>();
  for (const hook of hooks) {
    const key = `${hook.wireMm} ${hook.projectionMm} ${hook.loadG}`;
    const known = kinds.get(key);
    kinds.set(key, { hook, count: (known?.count ?? 0) + 1 });
  }
  return [...kinds.values()].toSorted((a, b) => b.count - a.count);
}

/** The hooks of a peg field: wherever a tool needs one, or those that are stuck in it. */
export function HookPanel({ place }: { place: Place }) {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const hookKind = useRebuild((state) => state.hookKind);
  const slot = place.slot!;
  const peg = slot.peg!;
  const family = getPegFamily(peg);
  const holeMm = getHoleMm(peg);
  const usual = { wireMm: peg.wireMm, projectionMm: peg.projectionMm, loadG: peg.hookLoadG };
  const kinds = HOOK_KINDS.filter((one) => one.family === family && one.wireMm <= holeMm);
  const name = getAncestor(tree, place.id, 'unit')!.name;
  const save = (next: PegSpec) =>
    edit(household, (from) =>
      createSavePlaces(from, name, [{ ...place, slot: { ...slot, peg: next } }], [], world.nowMs()),
    );
  const { hooks: _hooks, ...bare } = peg;
  return (
    <section aria-label={t('Hooks')} className="stitched-t mt-3 pt-2">
      <h3 className="font-bold">{t('Hooks')}</h3>
      <dl>
        <Row name={t('Holes')}>{wordPegFamily(family, holeMm, units)}</Row>
        {peg.hooks ? (
          countAlike(peg.hooks).map(({ hook, count }) => (
            <Row
              key={`${hook.wireMm} ${hook.projectionMm} ${hook.loadG}`}
              name={t('{n, plural, one {# hook} other {# hooks}}', { n: count })}
            >
              {wordHook(hook, units)}
            </Row>
          ))
        ) : (
          <Row name={t('Usual hook')}>{wordHook(usual, units)}</Row>
        )}
      </dl>
      {peg.hooks ? (
        <>
          <SelectField
            label={t('The next hook')}
            value={hookKind}
            onChange={(event) => useRebuild.setState({ hookKind: event.target.value })}
          >
            <option value="">{t('Usual hook: {hook}', { hook: wordHook(usual, units) })}</option>
            {kinds.map((one) => (
              <option key={one.id} value={one.id}>
                {`${wordHookKind(one.id)}: ${wordHook(one, units)}`}
              </option>
            ))}
          </SelectField>
          <p className="mt-1 text-sm text-stone">
            {t(
              'While you rebuild, a press on a hole sticks one in or takes it out. Things hang only on these, behind each other where a hook is long and strong enough.',
            )}
          </p>
          <Button look="quiet" onClick={() => void save(bare)}>
            {t('Hooks wherever a tool needs one')}
          </Button>
        </>
      ) : (
        <>
          <p className="text-sm text-stone">{t('A hook is meant wherever a tool needs one.')}</p>
          <Button
            look="quiet"
            onClick={() => {
              useRebuild.setState({ isOn: true });
              void save({ ...bare, hooks: nameHooks(household, tree, place) });
            }}
          >
            {t('Only hooks that I stick in')}
          </Button>
        </>
      )}
    </section>
  );
}
