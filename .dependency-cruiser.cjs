/** Who may import whom: the arrows of docs/architecture.md. `.astro` files are checked in tests/architecture. */
const MAY_IMPORT = {
  core: ['core'],
  wording: ['core', 'wording'],
  contract: ['core', 'contract'],
  data: ['core', 'data'],
  sight: ['core', 'sight'],
  server: ['core', 'contract', 'data', 'wording', 'sight', 'server'],
  pages: ['server', 'islands', 'ui', 'contract', 'wording/en/screens', 'pages'],
  islands: ['core', 'contract', 'wording', 'ui', 'islands', 'workers', 'offline'],
  ui: ['ui', 'wording/en/screens'],
  workers: ['core', 'contract', 'workers'],
  offline: ['core', 'contract', 'offline'],
  cli: ['core', 'wording', 'server', 'cli'],
};
/** Packages a folder may use; a folder that is not named may use any. */
const PACKAGES = {
  core: ['zod'],
  wording: [],
  contract: ['zod'],
  sight: [],
  ui: ['react', 'react-dom', 'recharts', 'lucide-react', '@fontsource-variable', 'radix-ui', 'downshift'],
};

/** Doors of the core's rooms; schemas stand apart, so that the browser loads no Zod. */
const DOORS = ['index', 'schema', 'checks', 'assessed', 'checks/index'].map((door) => `^src/core/[^/]+/${door}\\.ts$`);

const folders = Object.entries(MAY_IMPORT).map(([folder, allowed]) => ({
  name: `${folder}-imports`,
  severity: 'error',
  comment: `src/${folder} may import only ${allowed.join(', ')}.`,
  from: { path: `^src/${folder}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/[^/]+', pathNot: `^src/(${allowed.join('|')})/` },
}));

const packages = Object.entries(PACKAGES).map(([folder, allowed]) => ({
  name: `${folder}-packages`,
  severity: 'error',
  comment: `src/${folder} may use only these packages: ${allowed.join(', ') || 'none'}.`,
  from: { path: `^src/${folder}/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    dependencyTypes: ['npm', 'npm-dev', 'core', 'unknown', 'undetermined'],
    pathNot: ['^src/', ...allowed.map((name) => `(^|node_modules/)${name.replace('/', '\\/')}(/|$)`)],
  },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...folders,
    ...packages,
    {
      name: 'core-through-the-door',
      severity: 'error',
      comment: 'A room of the core is entered by its doors: its index, and its checks where it judges.',
      from: { pathNot: ['^src/core/', '\\.test\\.tsx?$'] },
      to: { path: '^src/core/[^/]+/', pathNot: DOORS },
    },
    {
      name: 'core-rooms',
      severity: 'error',
      comment: 'Rooms of the core enter one another by their doors too.',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/core/[^/]+/', pathNot: [...DOORS, '^src/core/$1/'] },
    },
    {
      name: 'core-assess-composes',
      severity: 'error',
      comment: 'Only what shows or keeps a whole appraisal may know it; no room judges by it.',
      from: { path: '^src/core/(?!assess/|workflow/)', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/core/assess/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '^(dist|node_modules/\\.astro)' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json', '.css'] },
  },
};
