import config from './jest.config.mjs';

const [core] = config.projects;
const [[pattern, [, options]]] = Object.entries(core.transform);

/** The tests that hold rights, references, limits and invariants, compiled with one error planted. */
export default {
  ...core,
  rootDir: core.rootDir,
  testMatch: ['rights', 'rules'].map(name => `<rootDir>/test/${name}.test.ts`),
  transform: { [pattern]: ['<rootDir>/../../scripts/lib/plantingTransform.mjs', options] },
};
