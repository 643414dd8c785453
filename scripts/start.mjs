import { spawn } from 'node:child_process';
import { exportApp } from './export.mjs';
import { installPackages } from './install.mjs';
import { ROOT } from './phases.mjs';

await installPackages();
await exportApp();

const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
