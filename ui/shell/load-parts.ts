/**
 * A part of the program may be made of several files (scripts/share-modules.mjs): its path then names them all, with a
 * space between, and the part's own file last. That one is loaded when the others are there, for it is run at once.
 */
type Load = (path: string) => Promise<void>;

const loaders = globalThis as unknown as { __loadBundleAsync?: Load };
const load = loaders.__loadBundleAsync;

if (load)
  loaders.__loadBundleAsync = async (path) => {
    const files = path.split(' ');
    await Promise.all(files.slice(0, -1).map(load));
    await load(files.at(-1) ?? path);
  };
