// The direction of imports (docs/architecture.md). What is not allowed below is forbidden.
const may = {
  units: [],
  job: ['units'],
  words: ['units', 'job'],
  measure: ['units', 'job', 'words'],
  specify: ['units', 'job', 'words', 'measure'],
  paces: ['units', 'job', 'words', 'measure', 'specify'],
  lines: ['units', 'job', 'words', 'measure', 'specify', 'paces'],
  climate: ['units', 'job'],
  plays: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'climate'],
  wetEdge: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'climate', 'plays'],
  work: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'plays'],
  order: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'work'],
  sequence: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'plays', 'work'],
  whole: ['units', 'job', 'words', 'measure', 'specify', 'paces', 'lines', 'plays', 'work', 'order', 'sequence', 'climate', 'wetEdge'],
};
const core = (folder) => `^core/src/${folder}/`;
const rules = Object.entries(may).map(([folder, others]) => ({
  name: `core-${folder}`,
  comment: `core/${folder} may import ${others.join(', ') || 'nothing else of the core'}`,
  severity: 'error',
  from: { path: core(folder), pathNot: '\\.test\\.ts$' },
  to: { path: '^core/src/', pathNot: [core(folder), ...others.map(core)] },
}));
module.exports = {
  forbidden: [
    ...rules,
    {
      name: 'order-paint',
      comment: 'order/paint and order/cans know surfaces and systems, not minutes',
      severity: 'error',
      from: { path: '^core/src/order/(paint|cans|shortfall)' },
      to: { path: '^core/src/(work|paces|lines|plays)/' },
    },
    { name: 'core-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|e2e)/' } },
    {
      name: 'core-no-dom',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: 'node_modules/(react|@mui|dexie|express)' },
    },
    { name: 'web-no-server', severity: 'error', from: { path: '^web/' }, to: { path: '^server/' } },
    {
      name: 'steps-apart',
      comment: 'what two steps share goes to drawing, app or core',
      severity: 'error',
      from: { path: '^web/src/(measure|specify|order|technique|sequence|jobs)/' },
      to: { path: '^web/src/(measure|specify|order|technique|sequence|jobs)/', pathNot: '^web/src/$1/' },
    },
    {
      name: 'frame-knows-no-step',
      comment: 'steps.ts names the steps; the frame and the drawing are given them',
      severity: 'error',
      from: { path: '^web/src/(app|drawing|store|workers)/' },
      to: { path: '^web/src/(measure|specify|order|technique|sequence|jobs|steps)[/.]' },
    },
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, pathNot: '(console/console\\.js|\\.test\\.tsx?|main\\.tsx?|\\.d\\.ts|worker\\.ts)$' },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
