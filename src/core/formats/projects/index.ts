export { readProjects, toProjectsCsv, type ProjectRow } from './table.ts';
export { toCalendar, toDueCalendar } from './calendar.ts';
