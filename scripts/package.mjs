import { Extractor, ExtractorConfig, ExtractorLogLevel } from '@microsoft/api-extractor';
import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './phases.mjs';

/**
 * Makes the package `emporos-core` in .emporos/package: the core as ES modules, its types rolled into one file, and the
 * report of its surface in docs/api. With --check the report must be the one that is kept.
 */
const FOLDER = join(ROOT, '.emporos/package');
const isChecking = process.argv.includes('--check');

const compileCore = () => {
  rmSync(FOLDER, { recursive: true, force: true });
  execFileSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', 'core/tsconfig.package.json'], {
    cwd: ROOT,
    stdio: 'inherit',
  });
};

const filesOf = (ending) =>
  readdirSync(join(FOLDER, 'core'), { recursive: true })
    .filter((name) => name.endsWith(ending))
    .map((name) => join(FOLDER, 'core', name));

const IMPORTED = /from ["']((?:@[^/"']+\/)?[a-z][^/"']*)/g;

/** What the package imports, at the versions that the program has. */
const dependenciesOf = ({ dependencies }) => {
  const imported = filesOf('.js').flatMap((name) =>
    [...readFileSync(name, 'utf8').matchAll(IMPORTED)].map(([, from]) => from),
  );
  return Object.fromEntries([...new Set(imported)].sort().map((name) => [name, dependencies[name]]));
};

const writeManifest = () => {
  const own = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
  const manifest = {
    name: 'emporos-core',
    version: own.version,
    license: own.license,
    description: own.description,
    type: 'module',
    sideEffects: false,
    exports: {
      '.': { types: './index.d.ts', default: './core/index.js' },
      './regions': { types: './core/words/region-name.d.ts', default: './core/words/region-name.js' },
    },
    types: './index.d.ts',
    engines: own.engines,
    dependencies: dependenciesOf(own),
  };
  writeFileSync(join(FOLDER, 'package.json'), `${JSON.stringify(manifest, null, 2)}\n`);
  cpSync(join(ROOT, 'docs/library.md'), join(FOLDER, 'README.md'));
};

/** Rolls the types into one file, and writes or compares the report. */
const extract = () => {
  const reportFolder = join(ROOT, 'docs/api');
  mkdirSync(reportFolder, { recursive: true });
  const config = ExtractorConfig.prepare({
    configObject: {
      projectFolder: FOLDER,
      mainEntryPointFilePath: join(FOLDER, 'core/index.d.ts'),
      compiler: {
        overrideTsconfig: {
          compilerOptions: {
            target: 'ES2022',
            lib: ['ES2023'],
            module: 'ESNext',
            moduleResolution: 'bundler',
            allowImportingTsExtensions: true,
            noEmit: true,
            skipLibCheck: true,
            types: [],
            strict: true,
          },
          files: [join(FOLDER, 'core/index.d.ts')],
        },
      },
      apiReport: {
        enabled: true,
        reportFileName: 'emporos-core.api.md',
        reportFolder,
        reportTempFolder: join(FOLDER, 'report'),
      },
      docModel: { enabled: false },
      dtsRollup: { enabled: true, untrimmedFilePath: join(FOLDER, 'index.d.ts') },
      tsdocMetadata: { enabled: false },
      newlineKind: 'lf',
      messages: {
        compilerMessageReporting: { default: { logLevel: ExtractorLogLevel.Error } },
        extractorMessageReporting: { default: { logLevel: ExtractorLogLevel.None } },
        tsdocMessageReporting: { default: { logLevel: ExtractorLogLevel.None } },
      },
    },
    configObjectFullPath: undefined,
    packageJsonFullPath: join(FOLDER, 'package.json'),
  });
  const { succeeded, apiReportChanged } = Extractor.invoke(config, { localBuild: !isChecking });
  if (!succeeded || (isChecking && apiReportChanged)) {
    console.error(
      'The surface of the package is not the one of docs/api: npm run package, and look at the change.',
    );
    process.exit(1);
  }
};

/** Only the rolled types are shipped. */
const withoutParts = () => {
  rmSync(join(FOLDER, 'report'), { recursive: true, force: true });
  for (const name of filesOf('.d.ts')) rmSync(name);
};

compileCore();
writeManifest();
extract();
withoutParts();
