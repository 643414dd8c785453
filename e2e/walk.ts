import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page } from './browser.ts';
import { isPhone } from './program.ts';

type Role = Parameters<Page['getByRole']>[0];
type Name = string | RegExp;

/** A job as a person does it: what is on the page is found by role and visible name alone, and each step is counted. */
export interface Walk {
  /** Presses what has the name: a button unless another role is given. */
  press: (name: Name, role?: Role, within?: Page | Locator) => Promise<void>;
  /** Fills in a field. */
  enter: (label: Name, text: string, within?: Page | Locator) => Promise<void>;
  /** Fills in a field that offers what fits, and presses one of them: two steps. */
  pick: (label: string, text: string, name: string) => Promise<void>;
  /** Goes to one of the pages that are not places of the navigation at both widths. */
  goTo: (page: 'Settings' | 'Shopfront') => Promise<void>;
  /** What a test order's customer is offered, opened first on a phone. */
  seePreview: () => Promise<Locator>;
  leavePreview: () => Promise<void>;
  steps: () => number;
}

const byName = (name: Name) => (typeof name === 'string' ? { name, exact: true } : { name });

export const walkOf = (page: Page): Walk => {
  let count = 0;
  const press: Walk['press'] = async (name, role = 'button', within = page) => {
    count += 1;
    await within.getByRole(role, byName(name)).click();
  };
  const enter: Walk['enter'] = async (label, text, within = page) => {
    count += 1;
    await within.getByLabel(label, { exact: true }).fill(text);
  };
  return {
    press,
    enter,
    pick: async (label, text, name) => {
      await enter(label, text);
      await press(name);
    },
    goTo: async (name) => {
      if (isPhone(page)) await press('Menu');
      await press(name, isPhone(page) ? 'menuitem' : 'link');
    },
    seePreview: async () => {
      if (isPhone(page)) await press(/^Open the preview/);
      const preview = page.getByRole(isPhone(page) ? 'dialog' : 'complementary', {
        name: 'What this order gets',
      });
      await expect(preview).toBeVisible();
      return preview;
    },
    leavePreview: async () => {
      if (isPhone(page)) await press('Close the preview');
    },
    steps: () => count,
  };
};

const STEPS = /^(\d+) steps on a phone, (\d+) on a wide screen\.$/m;

/** The steps that docs/jobs.md gives for a job at the page's width. */
export const writtenSteps = (page: Page, job: string): number => {
  const text = readFileSync('docs/jobs.md', 'utf8');
  const [, section] = text.split(new RegExp(`^## \\d+\\. ${job}$`, 'm'));
  const [, phone, wide] = STEPS.exec(section?.split(/^## /m)[0] ?? '') ?? [];
  return Number(isPhone(page) ? phone : wide);
};
