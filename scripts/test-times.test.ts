import {
  browserTimes,
  BUDGETS,
  processorSeconds,
  slowestLines,
  unitTimes,
  withinBudget,
} from './test-times.mjs';

const unit = {
  testResults: [
    {
      assertionResults: [
        { fullName: 'a rate is kept', duration: 120 },
        { fullName: 'a test without a time', duration: null },
      ],
    },
  ],
};
const browser = {
  suites: [
    {
      specs: [
        {
          title: 'at the top',
          file: 'a.spec.ts',
          tests: [{ projectName: 'phone', results: [{ duration: 900 }] }],
        },
      ],
      suites: [
        {
          specs: [
            {
              title: 'in a group',
              file: 'a.spec.ts',
              tests: [
                { projectName: 'phone', results: [{ duration: 2_500 }] },
                { projectName: 'wide', results: [{ duration: 3_000 }] },
              ],
            },
          ],
        },
      ],
    },
  ],
};

test('the times of both kinds of tests are read from their reports', () => {
  expect(unitTimes(unit)).toEqual([
    { name: 'a rate is kept', ms: 120 },
    { name: 'a test without a time', ms: 0 },
  ]);
  expect(browserTimes(browser).map(({ name, ms }) => `${name} ${ms}`)).toEqual([
    'a.spec.ts, phone: at the top 900',
    'a.spec.ts, phone: in a group 2500',
    'a.spec.ts, wide: in a group 3000',
  ]);
});

test('the ten slowest are named, the slowest first', () => {
  const times = Array.from({ length: 12 }, (_, at) => ({ name: `test ${at}`, ms: at * 100 }));
  const lines = slowestLines(times);
  expect(lines).toHaveLength(10);
  expect(lines[0]).toBe('     1.1 s  test 11');
});

test('a kind of tests that takes more of the processor than its budget is told', () => {
  expect(withinBudget('browser', 10, BUDGETS.browser * 10)).toEqual({
    isWithin: true,
    words: '8.00 s of processor time a browser test, of at most 8 s',
  });
  expect(withinBudget('unit', 100, 200)).toEqual({
    isWithin: false,
    words: '2.00 s of processor time a unit test, of at most 0.9 s: too much. Look at the slowest.',
  });
  expect(withinBudget('unit', 0, 3).isWithin).toBe(true);
});

test('the processor’s time goes on while there is work', () => {
  const before = processorSeconds();
  let sum = 0;
  for (const end = Date.now() + 120; Date.now() < end;) sum += Math.sqrt(sum + 1);
  expect(processorSeconds()).toBeGreaterThan(before);
});
