import { useState } from 'react';
import { createBag } from '../../../core/acts/index.ts';
import { completeSketch } from '../../../core/catalog/index.ts';
import type { ItemId, LotId, Project } from '../../../core/records/index.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { SelectField, TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { useSaveProject } from './useSaveProject.ts';
import { perLanguage, t } from '../../language/index.ts';

/** Usual bags and boxes, width × depth × height in mm: estimates; a tape says better. */
const SORTS = perLanguage(
  () =>
    ({
      bag: { name: t('A cloth bag'), boxMm: [320, 240, 90], isSoft: true },
      box: { name: t('A box with a lid'), boxMm: [390, 280, 140], isSoft: false },
      tray: { name: t('A flat tray'), boxMm: [420, 300, 60], isSoft: false },
      basket: { name: t('A basket'), boxMm: [360, 280, 220], isSoft: false },
    }) as const,
);
type Sort = keyof ReturnType<typeof SORTS>;

/** Gives a project a bag: one that is free, or a new one. */
export function BagForm({ project, onDone }: { project: Project; onDone: () => void }) {
  const household = useHousehold();
  const { settings } = household;
  const save = useSaveProject(project);
  const taken = new Set([...household.projects.values()].flatMap((one) => one.bagLotId ?? []));
  const free = [...household.lots.values()].filter(
    (lot) =>
      household.items.get(lot.itemId)?.kind === 'kit' &&
      !taken.has(lot.id) &&
      (lot.state === 'in' || lot.state === 'out'),
  );
  const [which, setWhich] = useState<string>(free[0]?.id ?? 'bag');
  const [name, setName] = useState(t('{project} kit', { project: project.name }).slice(0, 120));
  const isNew = which in SORTS();
  const send = async () => {
    if (!isNew) {
      if (await save({ bagLotId: which as LotId })) onDone();
      return;
    }
    const { boxMm, isSoft } = SORTS()[which as Sort];
    const made = completeSketch(
      { kind: 'kit', name: name.trim() || project.name, boxMm: [...boxMm], isSoft, massG: 400 },
      {
        itemId: world.createId() as ItemId,
        lotId: world.createId() as LotId,
        nowMs: world.nowMs(),
        stationId: getUsualStations(household)('kit', 'kit'),
        settings,
      },
    );
    if (!made.ok) return;
    const bag = made.value;
    const told = t('{name} is its bag. It needs a home: put it away from the Bench, or let a plan find one.', {
      name: bag.item.name,
    });
    if (await act((now) => createBag(now, project.id, bag, world.nowMs()), told)) onDone();
  };
  return (
    <Form
      aria-label={t('A bag or box')}
      className="mt-2 max-w-xl border-l-4 border-woad bg-linen p-3"
      onSend={send}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="grid gap-3 md:grid-cols-2">
        <SelectField label={t('In which')} value={which} onChange={(event) => setWhich(event.target.value)}>
          {free.map((lot) => (
            <option key={lot.id} value={lot.id}>
              {household.items.get(lot.itemId)!.name}
            </option>
          ))}
          {Object.entries(SORTS()).map(([sort, { name: words, boxMm }]) => (
            <option key={sort} value={sort}>
              {`${words}, ${formatSizes(boxMm, settings.units)}`}
            </option>
          ))}
        </SelectField>
        {isNew && (
          <TextField
            label={t('Called')}
            of="items.name"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        )}
      </div>
      <FormFoot save={t('This one')} onDone={onDone} />
    </Form>
  );
}
