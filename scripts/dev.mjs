import { spawn } from 'node:child_process';
import { installPackages } from './install.mjs';
import { ROOT } from './phases.mjs';

await installPackages();
const expo = spawn('npx', ['expo', 'start', '--web'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' },
});
expo.on('close', (code) => process.exit(code ?? 0));
