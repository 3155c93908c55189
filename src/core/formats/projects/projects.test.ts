import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../../sample/index.ts';
import type { Household, Project } from '../../records/index.ts';
import { parseTable } from '../csv/index.ts';
import { readProjects, toCalendar, toProjectsCsv } from './index.ts';

const { household } = createSampleHousehold(1);
let ids = 0;
const read = (text: string, of: Household = household) => {
  const table = parseTable(text);
  if (!table.ok) throw new Error(table.fault.code);
  return readProjects(table.value, of, 5, () => `new-${(ids += 1)}`);
};
const projects = [...household.projects.values()];

describe('a table of projects', () => {
  it('comes back as it was', () => {
    const back = read(toProjectsCsv(household)).map(({ project }) => project);
    expect(back).toEqual(projects);
  });

  it('changes what is known by its name, and keeps what it says nothing about', () => {
    const [row] = read('project,due\r\nFour crew smocks,2027-01-10\r\n');
    const known = projects.find(({ name }) => name === 'Four crew smocks')!;
    expect(row).toEqual({ row: 1, fault: null, project: { ...known, due: '2027-01-10' } });
  });

  it('makes new ones of a list, and says which rows do not read', () => {
    const rows = read(
      'name;sizes;takes;steps;due;state\nDuffel bag;;main 1.2 m; zip 60 cm;;\n;38;;;;\nCap;;;;soon;\nHat;;;;;nearly\n'
        .replace('main 1.2 m; zip', '"main 1.2 m; zip')
        .replace('60 cm;;', '60 cm";;;'),
    );
    expect(rows.map(({ fault }) => fault)).toEqual([null, 'no-name', 'due', 'state']);
    expect(rows[0]!.project).toMatchObject({
      name: 'Duffel bag',
      state: 'idea',
      needs: [
        { kind: 'fabric', part: 'main', amount: 1200 },
        { kind: 'notion', part: 'zip 60 cm' },
      ],
    });
  });
});

describe('a calendar of projects', () => {
  it('has a whole day for each that is due and not over', () => {
    const over: Project = { ...projects[0]!, id: 'over' as Project['id'], name: 'Over', state: 'done' };
    const made = toCalendar([...projects, over], ({ forWhom }) => `for ${forWhom ?? 'nobody'}; by then`);
    if (!made.ok) throw new Error(made.fault);
    const text = made.value.replaceAll('\r\n\t', '').replaceAll('\r\n ', '');
    const due = projects.filter((project) => project.due);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(due.length);
    const [one] = due;
    expect(text).toContain(`DTSTART;VALUE=DATE:${one!.due!.replaceAll('-', '')}`);
    expect(text).toContain(`UID:${one!.id}@yardmist`);
    expect(text).toContain(`DESCRIPTION:for ${one!.forWhom}\\; by then`);
    expect(text).not.toContain('Over');
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0')).toBe(true);
  });
});
