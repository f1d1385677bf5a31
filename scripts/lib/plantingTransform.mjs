import swc from '@swc/jest';

/** What is planted in this run: a file, a place in it, and what stands there instead; nothing where it is not said. */
const planted = process.env.COVE_PLANTED ? JSON.parse(process.env.COVE_PLANTED) : null;

const withError = (source, file) =>
  planted && file.endsWith(planted.file)
    ? source.slice(0, planted.at) + planted.by + source.slice(planted.at + planted.length)
    : source;

/** Compiles as the tests do, with the planted error in its place. */
export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      canInstrument: false,
      process: (source, file, more) => inner.process(withError(source, file), file, more),
      processAsync: (source, file, more) => inner.processAsync(withError(source, file), file, more),
      getCacheKey: (source, file, more) => inner.getCacheKey(withError(source, file), file, more),
    };
  },
};
