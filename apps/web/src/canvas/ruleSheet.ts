import {
  compareRanks,
  conditionsOf,
  layerOf,
  type PrintMode,
  printBare,
  printDeclarations,
  printLayerOrder,
  type Rank,
  type Rule,
  type Site,
  selectorOf,
} from '@cove/core';

interface Entry {
  heads: readonly string[];
  texts: string[];
  rules: CSSRule[];
}

const innermost = (rule: CSSRule | undefined): CSSStyleRule | null => {
  if (!rule) return null;
  if ('selectorText' in rule) return rule as CSSStyleRule;
  return 'cssRules' in rule ? innermost((rule as CSSGroupingRule).cssRules[0]) : null;
};

/**
 * A constructed sheet of rules by their source. Setting a source anew alters only what differs: declarations in place,
 * or the source's few rules. Order inside the sheet decides nothing, since every rank has a layer.
 */
export class RuleSheet {
  readonly sheet: CSSStyleSheet;
  private readonly entries = new Map<string, Entry>();

  constructor(
    view: Window & typeof globalThis,
    private readonly mode: PrintMode,
    private readonly layers: LayerOrder,
  ) {
    this.sheet = new view.CSSStyleSheet();
  }

  set(source: string, rules: readonly Rule[], site: Site): void {
    const heads = rules.map(
      rule => `${conditionsOf(site, rule, this.mode).join(' ')} ${selectorOf(rule, this.mode)}`,
    );
    const texts = rules.map(rule => printDeclarations(rule.declarations));
    const known = this.entries.get(source);
    if (known && known.heads.length === heads.length && known.heads.every((head, i) => head === heads[i])) {
      for (const [i, text] of texts.entries()) {
        if (known.texts[i] === text) continue;
        const style = innermost(known.rules[i])?.style;
        if (style) style.cssText = text;
        known.texts[i] = text;
      }
      return;
    }
    this.remove(source);
    if (rules.length === 0) return;
    this.layers.add(rules);
    const made = rules.map(rule => {
      const text = conditionsOf(site, rule, this.mode).reduceRight(
        (inner, condition) => `${condition}{${inner}}`,
        printBare(rule, this.mode),
      );
      return this.sheet.cssRules[this.sheet.insertRule(text, this.sheet.cssRules.length)];
    });
    this.entries.set(source, { heads, texts, rules: made.filter(rule => rule !== undefined) });
  }

  remove(source: string): void {
    const entry = this.entries.get(source);
    if (!entry) return;
    const all = [...this.sheet.cssRules];
    for (const rule of entry.rules.toReversed()) {
      const index = all.lastIndexOf(rule);
      if (index >= 0) {
        this.sheet.deleteRule(index);
        all.splice(index, 1);
      }
    }
    this.entries.delete(source);
  }

  sources(): IterableIterator<string> {
    return this.entries.keys();
  }
}

/** The first sheet of all: puts the layers of ranks in order, and grows when a rank is met for the first time. */
export class LayerOrder {
  readonly sheet: CSSStyleSheet;
  private readonly ranks = new Map<string, Rank>();
  private stale = true;

  constructor(view: Window & typeof globalThis) {
    this.sheet = new view.CSSStyleSheet();
  }

  add(rules: readonly Rank[]): void {
    for (const rank of rules) {
      const name = layerOf(rank);
      if (this.ranks.has(name)) continue;
      this.ranks.set(name, rank);
      this.stale = true;
    }
  }

  flush(): void {
    if (!this.stale) return;
    this.stale = false;
    this.sheet.replaceSync(printLayerOrder([...this.ranks.values()].sort(compareRanks)));
  }
}
