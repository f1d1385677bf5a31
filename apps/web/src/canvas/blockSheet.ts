import type { Block } from '@cove/core';

/** A constructed sheet of custom properties; a token is set on one rule, nothing else is touched. */
export class BlockSheet {
  readonly sheet: CSSStyleSheet;
  private readonly rules = new Map<string, { style: CSSStyleDeclaration; values: Map<string, string> }>();

  constructor(view: Window & typeof globalThis) {
    this.sheet = new view.CSSStyleSheet();
  }

  /** Makes a block say exactly this, altering only what differs. */
  set({ selector, declarations }: Block): void {
    const rule = this.rule(selector);
    const names = new Set<string>();
    for (const [name, text] of declarations) {
      names.add(name);
      if (rule.values.get(name) === text) continue;
      rule.style.setProperty(name, text);
      rule.values.set(name, text);
    }
    for (const name of rule.values.keys())
      if (!names.has(name)) {
        rule.style.removeProperty(name);
        rule.values.delete(name);
      }
  }

  /** Sets some properties of a block and leaves the others. */
  patch({ selector, declarations }: Block): void {
    const rule = this.rule(selector);
    for (const [name, text] of declarations) {
      if (rule.values.get(name) === text) continue;
      rule.style.setProperty(name, text);
      rule.values.set(name, text);
    }
  }

  /** Takes some properties away from a block. */
  drop(selector: string, declarations: Block['declarations']): void {
    const rule = this.rule(selector);
    for (const [name] of declarations) if (rule.values.delete(name)) rule.style.removeProperty(name);
  }

  keepOnly(selectors: ReadonlySet<string>, prefix: string): void {
    for (const [selector, { style }] of this.rules)
      if (selector.startsWith(prefix) && !selectors.has(selector)) {
        style.cssText = '';
        this.rules.delete(selector);
      }
  }

  private rule(selector: string) {
    let rule = this.rules.get(selector);
    if (!rule) {
      const made = this.sheet.cssRules[
        this.sheet.insertRule(`${selector}{}`, this.sheet.cssRules.length)
      ] as CSSStyleRule;
      rule = { style: made.style, values: new Map() };
      this.rules.set(selector, rule);
    }
    return rule;
  }
}
