/** Where in a JSON text the value at a path begins, as line and column from 1; null where the path leads nowhere. */
export function locate(text: string, path: readonly string[]): { line: number; column: number } | null {
  let at = 0;
  const space = () => {
    while (/\s/.test(text[at] ?? '')) at++;
  };
  const string = (): string => {
    const from = at++;
    while (at < text.length && text[at] !== '"') at += text[at] === '\\' ? 2 : 1;
    at++;
    const read: unknown = JSON.parse(text.slice(from, at));
    return typeof read === 'string' ? read : '';
  };
  /** Steps over a value, calling `enter` for every entry; stops where that answers true. */
  const entries = (enter: (key: string) => boolean): boolean => {
    const open = text[at];
    if (open !== '{' && open !== '[') {
      if (open === '"') string();
      else while (at < text.length && !/[,\]}\s]/.test(text[at] ?? '')) at++;
      return false;
    }
    at++;
    for (let index = 0; ; index++) {
      space();
      if (text[at] === ',') {
        at++;
        space();
      }
      if (at >= text.length) return false;
      if (text[at] === '}' || text[at] === ']') {
        at++;
        return false;
      }
      let key = String(index);
      if (open === '{') {
        key = string();
        space();
        at++;
        space();
      }
      if (enter(key)) return true;
    }
  };
  const skip = (): boolean => entries(skip);
  const find = (depth: number): boolean => {
    space();
    if (depth === path.length) return true;
    return entries(key => (key === path[depth] ? find(depth + 1) : skip()));
  };
  return find(0) ? lineAndColumn(text, at) : null;
}

export function lineAndColumn(text: string, offset: number): { line: number; column: number } {
  const before = text.slice(0, offset).split('\n');
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}
