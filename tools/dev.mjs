import { ensureInstalled, runTool } from './prepare.mjs';

ensureInstalled();
process.exitCode = runTool('vite', []);
