export { readProjects, toProjectsCsv, type ProjectRow } from './table.ts';
export { toCalendar } from './calendar.ts';
