import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { REFUSALS, problemOf, type RefusalCode } from './refusals.ts';

const CODES = Object.keys(REFUSALS) as RefusalCode[];

test.each(CODES)('%s has a status of a refusal, and words', (code) => {
  expect(REFUSALS[code].status).toBeGreaterThanOrEqual(400);
  expect(REFUSALS[code].status).toBeLessThan(600);
  const problem = problemOf(code, 'what is wrong');
  expect(problem).toMatchObject({ code, status: REFUSALS[code].status, type: `/api/problems/${code}` });
  expect(problem.title).toMatch(/^\S.{5,}$/);
  expect(problem.detail).toMatch(/^\S.{5,}$/);
});

test('every refusal of the server is one of them: none is written beside', () => {
  const files = readdirSync(__dirname).filter((name) => /^[a-z-]+\.ts$/.test(name) && name !== 'refusals.ts');
  const texts = files.map((name) => readFileSync(join(__dirname, name), 'utf8'));
  expect(texts.filter((text) => /\.status\([45]\d\d\)/.test(text))).toEqual([]);
  const used = new Set(texts.flatMap((text) => [...text.matchAll(/'([a-z-]+)'/g)].map(([, code]) => code)));
  expect(CODES.filter((code) => !used.has(code))).toEqual([]);
});
