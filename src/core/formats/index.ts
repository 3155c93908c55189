export { openBundle, parseBundle, readOpened, toBundle, type BundleFault, type OpenedBundle } from './bundle.ts';
