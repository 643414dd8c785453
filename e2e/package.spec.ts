import { build } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { demoTestOrders } from '../demo/test-orders.ts';
import { expect, test } from './browser.ts';
import { ONCE } from './program.ts';

test.use({ loadsItself: true });

const LARGEST = 60_000;
const ROOT = join(__dirname, '..');

/** A program of somebody else's that quotes the demo with the package, as one that only quotes would. */
const QUOTING = `
import { compile, quote } from 'emporos-core';
export const quotesOf = (book, catalogue, requests, parts) => {
  const shop = compile(book, catalogue, null, parts);
  return requests.map((request) => JSON.stringify(quote(shop, request)));
};
`;
const IN_NODE = `
import { readFileSync } from 'node:fs';
import { makeParts } from 'emporos-core';
import { regionName } from 'emporos-core/regions';
import { quotesOf } from './quoting.mjs';
const [book, catalogue, requests] = ['book', 'catalogue', 'requests'].map((name) => JSON.parse(readFileSync(name + '.json', 'utf8')));
process.stdout.write(JSON.stringify(quotesOf(book, catalogue, requests, makeParts({ regionName }))));
`;

/** An empty project with the package in it, packed and installed as anyone would. */
const projectWithPackage = (): string => {
  execFileSync(process.execPath, ['scripts/package.mjs', '--check'], { cwd: ROOT, stdio: 'pipe' });
  const folder = mkdtempSync(join(tmpdir(), 'emporos-package-'));
  const npm = (...args: string[]): string =>
    execFileSync('npm', [...args, '--silent', '--prefer-offline', '--no-audit', '--no-fund'], {
      cwd: folder,
      encoding: 'utf8',
    });
  writeFileSync(
    join(folder, 'package.json'),
    '{ "name": "somebody-else", "private": true, "type": "module" }',
  );
  const packed = npm('pack', join(ROOT, '.emporos/package')).trim();
  npm('install', `./${packed}`);
  return folder;
};

test(
  'the package quotes the demo in Node and in a page as the service does, and a page that only quotes is small',
  ONCE,
  async ({ page, request, baseURL }) => {
    const requests = demoTestOrders
      .map((one) => one.request)
      .filter(({ destination }) => destination?.subdivision !== undefined && destination.point !== undefined);
    expect(requests.length).toBeGreaterThan(5);
    const served = await request.get(`${baseURL}/openapi.json`);
    expect(served.ok()).toBe(true);
    const folder = projectWithPackage();
    const json = (name: string): string =>
      execFileSync('cat', [join(ROOT, `demo/data/${name}.json`)], { encoding: 'utf8' });
    const [book, catalogue] = [json('book'), json('catalogue')];
    writeFileSync(join(folder, 'book.json'), book);
    writeFileSync(join(folder, 'catalogue.json'), catalogue);
    writeFileSync(join(folder, 'requests.json'), JSON.stringify(requests));
    writeFileSync(join(folder, 'quoting.mjs'), QUOTING);
    writeFileSync(join(folder, 'node.mjs'), IN_NODE);
    const inNode = JSON.parse(
      execFileSync(process.execPath, ['node.mjs'], { cwd: folder, encoding: 'utf8' }),
    ) as string[];

    for (const [at, one] of requests.entries()) {
      const response = await request.post(`${baseURL}/api/editions/demo/quotes`, {
        data: { ...one, answers: [] },
      });
      const {
        edition: _,
        language: __,
        destination: ___,
        reasons: ____,
        codeLiesIn: _____,
        ...quoted
      } = (await response.json()) as Record<string, unknown>;
      expect(JSON.stringify(quoted)).toBe(inNode[at]);
    }

    const { outputFiles } = await build({
      stdin: { contents: QUOTING, resolveDir: folder },
      bundle: true,
      format: 'iife',
      globalName: 'shop',
      minify: true,
      write: false,
    });
    const script = outputFiles[0]?.text ?? '';
    expect(gzipSync(script).length).toBeLessThanOrEqual(LARGEST);
    await page.setContent('<!doctype html><title>A page of somebody else’s</title>');
    await page.addScriptTag({ content: script });
    const inPage = await page.evaluate(
      ([shop, goods, asked]) =>
        (window as unknown as { shop: { quotesOf: (...all: unknown[]) => string[] } }).shop.quotesOf(
          JSON.parse(shop),
          JSON.parse(goods),
          JSON.parse(asked),
        ),
      [book, catalogue, JSON.stringify(requests)] as const,
    );
    expect(inPage).toEqual(inNode);
    rmSync(folder, { recursive: true });
  },
);
