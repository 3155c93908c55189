import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { cruise } from 'dependency-cruiser';

const only = (name, from, ...to) => ({
  name,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [from, ...to].map((part) => `^src/${part}`) },
});
const never = (name, from, to) => ({ name, severity: 'error', from, to });

/** Folders of the core are entered by their index, or by that of a folder in them. */
const FOLDERS = readdirSync('src/core', { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => name);
/** The fold, see below; what is large, or asked for by one screen, and loaded by itself; and ids, which a journey reads without the records' classes. */
const DOORS = ['daybook/(fold|passed)', 'records/(ids|migrations|presets)', 'formats/piece', 'formats/sheet/pdf'];

/** One way in, one way down: docs/architecture.md has the drawing. */
const forbidden = [
  only('core-stands-alone', 'core'),
  only('check-knows-only-core', 'check', 'core/records', 'core/measure', 'core/grouping'),
  only('solver-knows-core', 'solver', 'core'),
  only('storage-knows-core', 'storage', 'core'),
  only('sample-knows-core', 'sample', 'core'),
  only('server-knows-core', 'server', 'core'),
  only('workers-know-core-and-solver', 'workers', 'core', 'solver', 'check', 'storage'),
  // What it says, it says in the words of the interface.
  only('cli-knows-core-solver-and-words', 'cli', 'core', 'solver', 'sample', 'check', 'ui/text', 'ui/language'),
  only(
    'ui-knows-no-solver',
    'ui',
    'core',
    'storage',
    'sample',
    'workers/(protocol|client|keeping|opening|breathe)\\.ts',
  ),
  never('no-cycles', {}, { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }),
  never(
    'only-storage-knows-dexie',
    { path: '^src/', pathNot: ['^src/storage/', '\\.test\\.ts$'] },
    { path: 'node_modules/(dexie|fake-indexeddb)/' },
  ),
  never(
    'core-and-solver-have-no-interface',
    { path: '^src/(core|solver|check|sample)/', pathNot: '\\.test\\.ts$' },
    { path: 'node_modules/(react|zustand|recharts|@headlessui|fastify|dexie)' },
  ),
  never(
    'no-builtins-in-core',
    { path: '^src/(core|solver|check|sample)/', pathNot: '\\.test\\.ts$' },
    { dependencyTypes: ['core'] },
  ),
  ...FOLDERS.map((folder) =>
    never(
      `${folder}-by-its-index`,
      { path: '^src/', pathNot: [`^src/core/${folder}/`, '\\.test\\.tsx?$'] },
      { path: `^src/core/${folder}/`, pathNot: ['/index\\.ts$', ...DOORS.map((door) => `^src/core/${door}\\.ts$`)] },
    ),
  ),
  // Changes are applied without the gate only where a draft is made, or a household is only supposed: in the core. What
  // is shown and kept comes out of the gate, whose mark the state and the storage ask for.
  never(
    'only-the-gate-leads-on',
    { path: '^src/', pathNot: ['^src/core/', '\\.test\\.tsx?$'] },
    { path: '^src/core/daybook/fold\\.ts$' },
  ),
  never(
    'only-the-gate-says-what-passed',
    { path: '^src/', pathNot: ['^src/core/daybook/', '^src/workers/(keeping|opening)\\.ts$', '\\.test\\.tsx?$'] },
    { path: '^src/core/daybook/passed\\.ts$' },
  ),
  // A household that is only looked at, such as a plan, offers nothing that writes: what shows it does not reach the hands.
  never(
    'what-is-only-looked-at-writes-nothing',
    {
      path: '^src/ui/(features/ticket/shown/|features/fit/(PlanWall|GroupList|MoveList|UnplacedList)\\.tsx|components/Preview\\.tsx)',
    },
    { path: '^src/ui/state/(hands|acting|exchanging|kept)\\.ts$', reachable: true },
  ),
  never('nothing-knows-the-journeys', { path: '^src/' }, { path: '^(e2e|bench)/' }),
  // Of ours they know how a code is spelt, as a scanner does.
  never(
    'journeys-know-only-the-screen',
    { path: '^e2e/' },
    { path: '^src/', pathNot: ['^src/core/labels/code\\.ts$'] },
  ),
];

const ROOTS = ['src', 'e2e', 'tests', 'bench'];
const written = ROOTS.flatMap((root) =>
  readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.d.ts'))
    .map((file) => join(root, file)),
);

const { output } = await cruise(
  ROOTS,
  { ruleSet: { forbidden }, tsPreCompilationDeps: true, doNotFollow: { path: 'node_modules' }, validate: true },
  {},
  { tsConfig: { options: {} } },
);
const { violations, totalCruised } = output.summary;
for (const { rule, from, to } of violations) console.error(`${rule.name}: ${from} → ${to}`);

/** Folders of the core that lead to each other in a circle, tests and types aside. */
function findFolderCircles() {
  const folderOf = (file) => /^src\/core\/([^/]+)\//.exec(file)?.[1];
  const edges = new Map();
  for (const { source, dependencies } of output.modules) {
    const from = folderOf(source);
    if (!from || /\.test\.tsx?$/.test(source)) continue;
    for (const { resolved, dependencyTypes } of dependencies) {
      const to = folderOf(resolved);
      if (to && to !== from && !dependencyTypes.includes('type-only'))
        edges.set(from, (edges.get(from) ?? new Map()).set(to, source));
    }
  }
  const circles = [];
  const walk = (folder, way) => {
    const at = way.indexOf(folder);
    if (at >= 0) {
      const circle = way.slice(at);
      if (circle.every((one) => one >= folder)) circles.push([...circle, folder].join(' → '));
      return;
    }
    for (const to of edges.get(folder)?.keys() ?? []) walk(to, [...way, folder]);
  };
  for (const folder of edges.keys()) walk(folder, []);
  return [...new Set(circles)];
}
const circles = findFolderCircles();
for (const circle of circles) console.error(`folders in a circle: ${circle}`);

const read = new Set(output.modules.map(({ source }) => source));
const unread = written.filter((file) => !read.has(file));
console.log(`${totalCruised} modules, ${violations.length} wrong imports, ${circles.length} circles between folders`);
if (unread.length > 0) console.error(`not read: ${unread.slice(0, 5).join(', ')} and ${unread.length} in all`);
process.exitCode = violations.length > 0 || circles.length > 0 || unread.length > 0 ? 1 : 0;
