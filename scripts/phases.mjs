import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = fileURLToPath(new URL('..', import.meta.url));

const seconds = (from) => `${((performance.now() - from) / 1000).toFixed(1)} s`;

/** Says what a phase does, does it, and says how long it took. */
export const phase = async (name, work) => {
  const from = performance.now();
  console.log(`· ${name} …`);
  const result = await work();
  console.log(`  ${name}: ${seconds(from)}`);
  return result;
};

/** Runs a command with its output shown; gives the exit code and all that it printed. */
export const run = (command, args, { env = {}, quiet = false } = {}) =>
  new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (stream) => (chunk) => {
      output += chunk;
      if (!quiet) stream.write(chunk);
    };
    child.stdout.on('data', take(process.stdout));
    child.stderr.on('data', take(process.stderr));
    child.on('error', (error) => resolve({ code: 127, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });

/** Runs a command that must succeed; where it does not, shows what it printed and ends the program. */
export const must = async (command, args, options) => {
  const { code, output } = await run(command, args, options);
  if (code === 0) return output;
  if (options?.quiet) console.error(output);
  console.error(`“${command} ${args.join(' ')}” failed with exit code ${code}.`);
  process.exit(1);
};
