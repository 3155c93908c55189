import { formatMakes, isSameWord, parseMakes, parseNeedLine, parseStepLine } from '../../projects/index.ts';
import {
  parseRecord,
  PROJECT_STATES,
  type Household,
  type Need,
  type Project,
  type ProjectId,
  type ProjectState,
  type Step,
} from '../../records/index.ts';
import type { UnitSystem } from '../../units/index.ts';
import { unneutralise, writeTable, type TextTable } from '../csv/text.ts';

/** The columns of a table of projects, in the order they are written; the id at the end lets an edited table find its projects again. */
const COLUMNS = [
  'project',
  'for whom',
  'state',
  'pattern',
  'view',
  'sizes',
  'due',
  'takes',
  'steps',
  'where it stopped',
  'notes',
  'id',
] as const;
type Column = (typeof COLUMNS)[number];

const MM = { metric: [1000, 'm'], imperial: [914.4, 'yd'] } as const;

const writeNeed = ({ kind, part, amount }: Need, units: UnitSystem): string => {
  if (amount === undefined) return part;
  const [mm, unit] = MM[units];
  return kind === 'fabric' ? `${part} ${Number((amount / mm).toFixed(3))} ${unit}` : `${amount} ${part}`;
};
const writeStep = ({ name, minutes }: Step): string => (minutes === undefined ? name : `${name} ${minutes}`);

/** All projects, one a row, with a heading. What it says can be read in again. */
export function toProjectsCsv({ projects, items, settings: { units } }: Household): string {
  const rows = [...projects.values()].map((project) => {
    const cells: Record<Column, string> = {
      project: project.name,
      'for whom': project.forWhom ?? '',
      state: project.state,
      pattern: (project.patternItemId && items.get(project.patternItemId)?.name) ?? '',
      view: project.view ?? '',
      sizes: formatMakes(project.makes),
      due: project.due ?? '',
      takes: project.needs.map((need) => writeNeed(need, units)).join('; '),
      steps: project.steps.map(writeStep).join('; '),
      'where it stopped': project.stopped ?? '',
      notes: project.notes,
      id: project.id,
    };
    return COLUMNS.map((column) => cells[column]);
  });
  return writeTable([[...COLUMNS], ...rows]);
}

/** A row of a table: the project that it makes or changes, or what of it does not read. */
export interface ProjectRow {
  /** From 1, without the heading. */
  readonly row: number;
  readonly project: Project | null;
  readonly fault: 'no-name' | 'state' | 'due' | 'record' | null;
}

const SYNONYMS: Readonly<Record<string, Column>> = { name: 'project', title: 'project', size: 'sizes', needs: 'takes' };

/** What a need is that is named anew: as it was, where the project has one of that name. */
function readNeeds(cell: string, known: readonly Need[], units: UnitSystem, createId: () => string): Need[] {
  return cell
    .split(';')
    .flatMap((line) => parseNeedLine(line, units, createId()) ?? [])
    .map((need) => {
      const own = known.find((one) => one.kind === need.kind && isSameWord(one.part, need.part));
      if (!own) return need;
      const { amount: _, ...rest } = own;
      return { ...rest, ...(need.amount !== undefined && { amount: need.amount }) };
    });
}

function readSteps(cell: string, known: readonly Step[], createId: () => string): Step[] {
  return cell
    .split(';')
    .flatMap((line) => parseStepLine(line, createId()) ?? [])
    .map((step) => {
      const own = known.find((one) => isSameWord(one.name, step.name));
      return own ? { ...own, ...(step.minutes !== undefined && { minutes: step.minutes }) } : step;
    });
}

/**
 * Reads a table of projects. A row whose id or name is known changes that project; what it has no column for stays as it is.
 * Rows that do not read are told and left out.
 */
export function readProjects(
  { rows: [head = [], ...rows] }: TextTable,
  household: Household,
  nowMs: number,
  createId: () => string,
): ProjectRow[] {
  const { units } = household.settings;
  const at = new Map<Column, number>();
  for (const [n, cell] of head.entries()) {
    const word = cell.trim().toLowerCase();
    const column = COLUMNS.find((one) => one === word) ?? SYNONYMS[word];
    if (column && !at.has(column)) at.set(column, n);
  }
  const byName = new Map([...household.projects.values()].map((one) => [one.name.toLowerCase(), one]));
  const patterns = new Map(
    [...household.items.values()]
      .filter((item) => item.kind === 'pattern')
      .map((item) => [item.name.toLowerCase(), item.id]),
  );
  return rows.map((cells, n): ProjectRow => {
    const get = (column: Column): string | null => {
      const where = at.get(column);
      return where === undefined ? null : unneutralise(cells[where] ?? '').trim();
    };
    const refuse = (fault: NonNullable<ProjectRow['fault']>): ProjectRow => ({ row: n + 1, project: null, fault });
    const name = get('project') ?? '';
    const known = household.projects.get((get('id') ?? '') as ProjectId) ?? byName.get(name.toLowerCase());
    if (name === '' && !known) return refuse('no-name');
    const state = get('state') || (known?.state ?? 'idea');
    if (!(PROJECT_STATES as readonly string[]).includes(state)) return refuse('state');
    const due = get('due');
    if (due && !/^\d{4}-\d{2}-\d{2}$/.test(due)) return refuse('due');
    const base: Project = known ?? {
      id: createId() as ProjectId,
      name,
      state: 'idea',
      makes: [],
      notes: '',
      needs: [],
      steps: [],
      sinceMs: nowMs,
    };
    const { forWhom, view, stopped, due: _due, patternItemId, ...rest } = base;
    const words = (column: Column, old: string | undefined) => (get(column) ?? old) || undefined;
    const pattern = get('pattern');
    const patternId = pattern === null ? patternItemId : patterns.get(pattern.toLowerCase());
    const optional = {
      forWhom: words('for whom', forWhom),
      view: words('view', view),
      stopped: words('where it stopped', stopped),
      due: words('due', base.due),
      patternItemId: patternId,
    };
    const [sizes, takes, steps] = [get('sizes'), get('takes'), get('steps')];
    const project = {
      ...rest,
      ...Object.fromEntries(Object.entries(optional).filter(([, value]) => value !== undefined)),
      name: name || base.name,
      state: state as ProjectState,
      notes: get('notes') ?? base.notes,
      makes: sizes === null ? base.makes : parseMakes(sizes),
      needs: takes === null ? base.needs : readNeeds(takes, base.needs, units, createId),
      steps: steps === null ? base.steps : readSteps(steps, base.steps, createId),
    };
    const read = parseRecord('projects', project);
    return read.ok ? { row: n + 1, project: read.value, fault: null } : refuse('record');
  });
}
