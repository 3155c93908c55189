import { ensureBuilt, ensureInstalled } from './prepare.mjs';

ensureInstalled();
ensureBuilt();
await import('../dist-node/bench.js');
