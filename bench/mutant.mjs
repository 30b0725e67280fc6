import swc from '@swc/jest';

/** One place of one file, changed while the tests read it: what stands in the folder is never touched. */
const { file, from, to, text } = JSON.parse(process.env.MUTANT ?? '{}');
export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    const read = (source, path) => (path === file ? source.slice(0, from) + text + source.slice(to) : source);
    return {
      canInstrument: false,
      getCacheKey: (source, path, rest) => inner.getCacheKey(read(source, path), path, rest),
      process: (source, path, rest) => inner.process(read(source, path), path, rest),
    };
  },
};
