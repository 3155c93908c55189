export { parseBundle, toBundle, type BundleFault } from './bundle.ts';
