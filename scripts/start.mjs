import { spawn } from 'node:child_process';
import { exportApp } from './export.mjs';
import { installPackages } from './install.mjs';
import { ROOT } from './phases.mjs';

await installPackages();
await exportApp();

// A quote makes thousands of short-lived objects: with room for them, fewer are taken for lasting ones.
const server = spawn(process.execPath, ['--max-semi-space-size=64', 'scripts/serve.mjs'], {
  cwd: ROOT,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
