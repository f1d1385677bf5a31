declare module 'css-tree/parser' {
  import type { CssNode, ParseOptions } from 'css-tree';

  const parse: (text: string, options?: ParseOptions) => CssNode;
  export default parse;
}
