export default () => globalThis.coveTestOriginal.end();
