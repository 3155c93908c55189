export { openBundle, parseBundle, toBundle, type BundleFault, type OpenedBundle } from './bundle.ts';
