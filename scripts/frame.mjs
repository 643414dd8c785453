import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Where the frame stands in the page; what React draws takes its place. */
const PLACE = '<div id="root"></div>';

/** The faces of the frame, by what their files are called. */
const FACES = {
  SourceSerifSemibold: 'source-serif-4-latin-600-normal',
  PublicSans: 'public-sans-latin-400-normal',
  PublicSansSemibold: 'public-sans-latin-600-normal',
};

const facesOf = (dist) => {
  const files = readdirSync(dist, { recursive: true }).map(String);
  return Object.entries(FACES).flatMap(([family, name]) => {
    const file = files.find((one) => one.includes(`${name}.`) && one.endsWith('.woff2'));
    return file
      ? [`@font-face{font-family:${family};src:url("/${file}") format("woff2");font-display:swap}`]
      : [];
  });
};

const inks = ({ ground, raised, ink, quiet, hairline, rubric }) =>
  `--ground:${ground};--raised:${raised};--ink:${ink};--quiet:${quiet};--hairline:${hairline};--rubric:${rubric}`;

/** The measures are those of the rail, the bar and the head of a page, so that nothing moves when they are drawn. */
const styleOf = ({ PAPER, LAMP, MEDIUM_FROM, RAIL_WIDTH, SPACE, TOUCH }, faces) => `
${faces.join('\n')}
#frame{${inks(PAPER)};position:absolute;inset:0;background:var(--ground);color:var(--ink);font:13px/18px PublicSans,sans-serif}
#frame a{display:flex;align-items:center;color:var(--quiet);text-decoration:none}
#frame [aria-current]{color:var(--ink);border-color:var(--ink);font-family:PublicSansSemibold,sans-serif}
#frame h1{margin:0;font:400 30px/36px SourceSerifSemibold,serif}
#frame .mark{display:none;font:22px/28px SourceSerifSemibold,serif}
#frame .mark span{color:var(--rubric)}
#frame .foot{display:none}
#frame nav{position:absolute;left:0;right:0;bottom:0;display:flex;justify-content:space-around;background:var(--raised);border-top:1px solid var(--hairline)}
#frame nav a{box-sizing:border-box;height:50px;min-width:60px;justify-content:center;border-top:3px solid transparent}
#frame header{box-sizing:border-box;margin:12px 20px;padding-top:4px;height:50px;border-bottom:2px solid var(--ink)}
@media (min-width:${MEDIUM_FROM}px){
#frame nav{box-sizing:border-box;top:0;right:auto;width:${RAIL_WIDTH}px;padding:20px 0 ${20 + 2 * TOUCH}px;flex-direction:column;justify-content:flex-start;overflow:auto;background:none;border:0;border-right:1px solid var(--hairline)}
#frame .mark{display:block;flex:none;padding-left:22px;margin-bottom:${20 + TOUCH}px}
#frame nav a{flex:none;height:${TOUCH}px;padding-left:19px;justify-content:flex-start;border-top:0;border-left:3px solid transparent}
#frame .foot{display:block;flex:none;margin-top:auto}
#frame header{margin:24px ${SPACE.page}px 0 ${RAIL_WIDTH + SPACE.page}px;border:0}
}
@media (prefers-color-scheme:dark){#frame{${inks(LAMP)}}}
`;

/** Where the exported scripts are, under the folder of the program and in its addresses. */
const SCRIPTS = '_expo/static/js/web';

/** The parts of the program that a place asks for once its first scripts have run. */
const PARTS = {
  '/today': ['today-screen'],
  '/reach': ['reach-screen'],
  '/goods': ['goods-screen'],
  '/check': ['check-parts'],
  '/settings': ['settings-screen'],
  '/guide': ['guide-screen'],
};

/** Has the browser fetch the parts of a place, and the shop it opens with, beside the scripts that ask for them. */
const partsOf = (files, path) => {
  const named = [...(PARTS[path] ?? []), 'demo-shop'].flatMap((part) => {
    if (!files.has(part)) throw new Error(`there is no file of the part ${part}`);
    return files.get(part);
  });
  return [...new Set(named)].map((file) => `<link rel="prefetch" as="script" href="/${SCRIPTS}/${file}">`);
};

const link = (here, { name, path }) =>
  `<a href="${path}"${here === path ? ' aria-current="page"' : ''}>${name}</a>`;

/** The frame of a page with its heading, as it is served, before any script has run. */
const frameOf = (page, places, about) =>
  [
    '<div id="frame" aria-busy="true">',
    '<nav aria-label="Places"><div class="mark">E<span>.</span></div>',
    ...places.map((place) => link(page.path, place)),
    `<div class="foot">${about.map((place) => link(page.path, place)).join('')}</div></nav>`,
    `<header><h1>${page.name}</h1></header>`,
    '</div>',
  ].join('');

const ABOUT = [
  { name: 'Shopfront', path: '/shop' },
  { name: 'Settings', path: '/settings' },
  { name: 'Guide', path: '/guide' },
];

/**
 * Writes a page for each place of the program beside index.html, with its frame and its heading in it, so that they are
 * seen while the program is still being fetched; `files` are those of each part. Returns their names.
 */
export const writeFrames = async (dist, files) => {
  // Loaded here, for this file is read before the packages are installed.
  const { tsImport } = await import('tsx/esm/api');
  const tokens = await tsImport('../ui/theme/tokens.ts', import.meta.url);
  const { PLACES } = await tsImport('../ui/page/program-pages.ts', import.meta.url);
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  if (!html.includes(PLACE)) throw new Error('index.html has no place for the frame');
  const style = styleOf(tokens, facesOf(dist));
  const framed = [...PLACES, ...ABOUT.filter(({ path }) => path !== '/shop')];
  return framed.map((page) => {
    const name = `${page.path.slice(1)}.html`;
    const inside = `<style>${style}</style>${frameOf(page, PLACES, ABOUT)}`;
    const titled = html.replace(/<title>[^<]*/, `<title>${page.name} · Emporos`);
    const ahead = titled.replace('</head>', `${partsOf(files, page.path).join('')}</head>`);
    writeFileSync(join(dist, name), ahead.replace(PLACE, `<div id="root">${inside}</div>`));
    return name;
  });
};
