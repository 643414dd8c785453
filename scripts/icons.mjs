import { writeFileSync } from 'node:fs';
import * as icons from '@mdi/js';

/** Writes the outlines of the icons that are used, so that the program does not ship all of them. */
const USED = [
  'arrow-down',
  'arrow-up',
  'arrow-left',
  'check',
  'checkbox-blank-outline',
  'checkbox-marked',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'chevron-up',
  'close',
  'magnify',
  'drag-horizontal-variant',
  'menu',
  'menu-down',
  'minus',
  'minus-box',
  'plus',
  'radiobox-blank',
  'radiobox-marked',
  'redo',
  'undo',
  'alert-circle-outline',
];
const nameOf = (icon) =>
  `mdi${icon
    .split('-')
    .map((part) => part[0].toUpperCase() + part.slice(1))
    .join('')}`;
const lines = USED.map((icon) => `  '${icon}': '${icons[nameOf(icon)] ?? ''}',`);
writeFileSync(
  new URL('../ui/theme/icon-paths.ts', import.meta.url),
  `/** Outlines from Material Design Icons (Apache-2.0), on a grid of 24. Written by scripts/icons.mjs. */\nexport const ICON_PATHS: Record<string, string> = {\n${lines.join('\n')}\n};\n`,
);
