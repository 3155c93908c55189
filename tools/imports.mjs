import { cruise } from 'dependency-cruiser';

const only = (name, from, ...to) => ({
  name,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: [from, ...to].map((part) => `^src/${part}`) },
});
const never = (name, from, to) => ({ name, severity: 'error', from, to });

/** One way in, one way down: docs/architecture.md has the drawing. */
const forbidden = [
  only('core-stands-alone', 'core'),
  only('check-knows-only-core', 'check', 'core/records', 'core/measure', 'core/grouping'),
  only('solver-knows-core', 'solver', 'core'),
  only('storage-knows-core', 'storage', 'core'),
  only('sample-knows-core', 'sample', 'core'),
  only('server-knows-core', 'server', 'core'),
  only('workers-know-core-and-solver', 'workers', 'core', 'solver', 'check'),
  only('cli-knows-core-and-solver', 'cli', 'core', 'solver', 'sample', 'check'),
  only('ui-knows-no-solver', 'ui', 'core', 'storage', 'sample', 'workers/(protocol|client)\\.ts'),
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
];

/** Fewer modules than this means that the parser read nothing. */
const LEAST_MODULES = 90;

const { output } = await cruise(
  ['src'],
  { ruleSet: { forbidden }, tsPreCompilationDeps: true, doNotFollow: { path: 'node_modules' }, validate: true },
  {},
  { tsConfig: { options: {} } },
);
const { violations, totalCruised } = output.summary;
for (const { rule, from, to } of violations) console.error(`${rule.name}: ${from} → ${to}`);
console.log(`${totalCruised} modules, ${violations.length} wrong imports`);
if (totalCruised < LEAST_MODULES) console.error(`fewer than ${LEAST_MODULES} modules were read`);
process.exitCode = violations.length > 0 || totalCruised < LEAST_MODULES ? 1 : 0;
