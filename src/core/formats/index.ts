export { BUNDLE_VERSION, migrateBundle } from './migrations.ts';
export { parseBundle, toBundle, type BundleFault } from './bundle.ts';
