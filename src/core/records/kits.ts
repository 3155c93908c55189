import { isFields as isRaw, type Fields as Raw } from './fields.ts';
import { liftAllSettings } from './lifting.ts';

/** `kit:state:cut/station:x` → `kit:type:kit/station:x`. */
const liftGroupId = (id: unknown) =>
  typeof id === 'string' && id.startsWith('kit:') ? id.replace(/\bstate:[^/]*/, 'type:kit') : id;

/** Ids of groups at any depth; two that are one now stand there once. */
function liftIds(value: unknown): unknown {
  if (Array.isArray(value)) {
    const lifted = (value as unknown[]).map(liftIds);
    return lifted.every((one) => typeof one === 'string') ? [...new Set(lifted)] : lifted;
  }
  if (!isRaw(value)) return liftGroupId(value);
  return Object.fromEntries(Object.entries(value).map(([name, field]) => [name, liftIds(field)]));
}

const isPair = (bond: unknown) => !isRaw(bond) || !Array.isArray(bond['groupIds']) || bond['groupIds'].length === 2;

/** Kits are not sorted by how far they are any more: that is the project's. */
function liftSettings(settings: unknown): unknown {
  if (!isRaw(settings)) return settings;
  const lifted = liftIds(settings) as Raw;
  const { sorting, bonds } = lifted;
  if (Array.isArray(bonds)) lifted['bonds'] = (bonds as unknown[]).filter(isPair);
  const kit = isRaw(sorting) ? sorting['kit'] : null;
  if (!isRaw(kit) || !Array.isArray(kit['levels'])) return lifted;
  const levels = (kit['levels'] as unknown[]).map((level) => (level === 'state' ? 'type' : level));
  return { ...lifted, sorting: { ...(sorting as Raw), kit: { ...kit, levels: [...new Set(levels)] } } };
}

const STATES: Record<string, string> = { ready: 'cut' };

/** What a kit said of its project, and the lot that it is. */
interface Known {
  item: Raw;
  readonly lotIds: Set<string>;
}

function toProject(id: string, { item, lotIds }: Known): Raw | null {
  const { kit } = item;
  if (!isRaw(kit)) return null;
  const parts = Array.isArray(kit['parts']) ? (kit['parts'] as unknown[]) : [];
  const state = String(kit['state']);
  const isGathered = state !== 'planned';
  const [bagLotId] = lotIds;
  const notes = kit['forWhat'];
  return {
    id,
    name: item['name'],
    state: STATES[state] ?? state,
    makes: [],
    notes: typeof notes === 'string' ? notes : '',
    needs: parts
      .filter((part) => typeof part === 'string' && part !== '')
      .map((part, n) => ({ id: `part-${n}`, kind: 'other', part, ...(isGathered && { isThere: true }) })),
    steps: [],
    ...(bagLotId !== undefined && { bagLotId }),
    sinceMs: 0,
  };
}

function diff(id: string, before: Raw | null, after: Raw | null): Raw[] {
  if (!before && !after) return [];
  if (!before || !after) return [{ table: 'projects', id, ...(before && { before }), ...(after && { after }) }];
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (name) => JSON.stringify(before[name]) !== JSON.stringify(after[name]),
  );
  if (names.length === 0) return [];
  const pick = (from: Raw) => Object.fromEntries(names.flatMap((name) => (name in from ? [[name, from[name]]] : [])));
  return [{ table: 'projects', id, before: pick(before), after: pick(after) }];
}

function withoutKit(fields: unknown): unknown {
  if (!isRaw(fields)) return fields;
  const { kit: _kit, ...rest } = fields;
  return rest;
}

/** Follows kits and their lots through the daybook, and tells what became of their projects in each line. */
class Kits {
  private readonly known = new Map<string, Known>();
  private readonly itemOfLot = new Map<string, string>();

  tell(changes: readonly Raw[]): Raw[] {
    const touched = new Map<string, Raw | null>();
    const touch = (id: string) => {
      const known = this.known.get(id);
      if (!touched.has(id)) touched.set(id, known ? toProject(id, known) : null);
    };
    for (const { table, id: name, before, after } of changes) {
      const id = String(name);
      if (table === 'lots') this.followLot(id, before, after, touch);
      if (table !== 'items' || !(this.known.has(id) || (isRaw(after) && isRaw(after['kit'])))) continue;
      touch(id);
      const known: Known = this.known.get(id) ?? { item: {}, lotIds: new Set<string>() };
      if (isRaw(after)) {
        const item = { ...known.item };
        if (isRaw(before)) for (const field of Object.keys(before)) delete item[field];
        this.known.set(id, { ...known, item: { ...item, ...after } });
      } else this.known.set(id, { ...known, item: {} });
    }
    return [...touched].flatMap(([id, was]) => diff(id, was, toProject(id, this.known.get(id)!)));
  }

  private followLot(id: string, before: unknown, after: unknown, touch: (id: string) => void): void {
    const was = this.itemOfLot.get(id);
    const is = isRaw(after) ? (typeof after['itemId'] === 'string' ? after['itemId'] : was) : undefined;
    if (is === was || (isRaw(before) && isRaw(after) && !('itemId' in after))) return;
    if (was !== undefined) {
      touch(was);
      this.known.get(was)?.lotIds.delete(id);
      this.itemOfLot.delete(id);
    }
    if (is === undefined) return;
    touch(is);
    if (!this.known.has(is)) this.known.set(is, { item: {}, lotIds: new Set() });
    this.known.get(is)!.lotIds.add(id);
    this.itemOfLot.set(id, is);
  }

  listProjects(): Raw[] {
    return [...this.known].map(([id, known]) => toProject(id, known)).filter((one) => one !== null);
  }
}

/** Kits say no more what they are for and how far they are: that is a project, and the kit is its bag. */
export function makeProjects(raw: Raw): Raw {
  const lifted = liftAllSettings(raw, liftSettings);
  const { items, events } = lifted;
  const kits = new Kits();
  const told = Array.isArray(events)
    ? (events as unknown[]).map((event) => {
        if (!isRaw(event) || !Array.isArray(event['changes'])) return event;
        const changes = (event['changes'] as unknown[]).flatMap((one) => (isRaw(one) ? [one] : []));
        const lines = changes.map((change) =>
          change['table'] !== 'items'
            ? change
            : {
                ...change,
                ...('before' in change && { before: withoutKit(change['before']) }),
                ...('after' in change && { after: withoutKit(change['after']) }),
              },
        );
        return { ...event, changes: [...lines, ...kits.tell(changes)] };
      })
    : events;
  return {
    ...lifted,
    items: Array.isArray(items) ? (items as unknown[]).map(withoutKit) : items,
    projects: kits.listProjects(),
    events: told,
  };
}
