/** A rule as our sheets use it: a style of its own, or rules within a condition. */
interface FakeRule {
  head: string;
  selectorText?: string;
  style?: FakeStyle;
  cssRules?: FakeRule[];
}

class FakeStyle {
  private values = new Map<string, string>();
  constructor(text: string) {
    this.cssText = text;
  }
  get cssText(): string {
    return [...this.values]
      .map(([name, value]) => `${name}:${value}`)
      .sort()
      .join(';');
  }
  set cssText(text: string) {
    this.values = new Map(
      text
        .split(';')
        .filter(it => it.trim() !== '')
        .map(it => [it.slice(0, it.indexOf(':')).trim(), it.slice(it.indexOf(':') + 1).trim()]),
    );
  }
  setProperty(name: string, value: string): void {
    this.values.set(name, value);
  }
  removeProperty(name: string): void {
    this.values.delete(name);
  }
}

function ruleOf(text: string): FakeRule {
  const open = text.indexOf('{');
  const head = text.slice(0, open).trim();
  const inner = text.slice(open + 1, text.lastIndexOf('}'));
  return inner.includes('{')
    ? { head, cssRules: [ruleOf(inner)] }
    : { head, selectorText: head, style: new FakeStyle(inner) };
}

const printed = ({ head, style, cssRules }: FakeRule): string =>
  `${head}{${style ? style.cssText : (cssRules ?? []).map(printed).join('')}}`;

/** A constructed sheet, which jsdom has not: as much of it as our sheets use, and what it says in one spelling. */
export class FakeSheet {
  readonly cssRules: FakeRule[] = [];
  private text = '';
  insertRule(text: string, index: number): number {
    this.cssRules.splice(index, 0, ruleOf(text));
    return index;
  }
  deleteRule(index: number): void {
    this.cssRules.splice(index, 1);
  }
  replaceSync(text: string): void {
    this.text = text;
  }
  /** Order inside a sheet of rules decides nothing, and empty rules say nothing. */
  get says(): string[] {
    return [
      this.text,
      ...this.cssRules
        .map(printed)
        .filter(it => !it.includes('{}'))
        .sort(),
    ];
  }
}
