import { describe, expect, it } from '@jest/globals';
import { parse, walk } from 'css-tree';
import { compareIncoming, takeIncoming } from '../src/commands/index.ts';
import { readTokens } from '../src/incoming/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange } from '../src/site/index.ts';
import { printTyped } from '../src/tokens/index.ts';
import { tokensIn } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

const SITE = `
@import url("reset.css");
body { font: 400 18px/1.5 "Literata", Georgia, serif; color: #1d2433; background: #fdfbf7 url(a.png) }
h1, h2 { font-family: Literata, serif; color: #1e2534; margin: 0 auto 24px }
h1 { font-size: 2.5rem } h2 { font-size: 28px } h3 { font-size: 28.2px }
.card { padding: 16px 24px; border: 1px solid #d8d4cb; border-radius: 6px; box-shadow: 0 1px 5px 0 rgba(0,0,0,.2) }
.card:hover { box-shadow: 0 1px 5px 0 rgba(0, 0, 0, .2); color: var(--ink) }
.note { padding: 24px; border-radius: 6px 6px 0 0; color: transparent; background: linear-gradient(#fff, #000) }
@media (min-width: 60em) { .card { padding: 48px; color: #1d2433 } }
@font-face { font-family: Odd; src: url(odd.woff2) }
a { color: #0f6b5c; letter-spacing: 0.02em; margin: -4px; width: 50% }
`;
const read = (...files: [string, string][]) =>
  must(readTokens(files.map(([name, text]) => ({ name, text }))));
const proposed = (text: string) => {
  const incoming = read(['site.css', text]);
  const tokens = new Map(tokensIn(incoming).map(it => [it.id, it]));
  return incoming.items.map(({ record, uses, place }) =>
    record.kind === 'token'
      ? `${record.group} › ${record.name}: ${printTyped(record.value, tokens)} × ${uses?.count}, line ${place?.line}`
      : '',
  );
};

describe('the survey of a style sheet', () => {
  it('proposes a palette, scales and voices: what is nearly the same is one, with its uses and its first place', () => {
    expect(proposed(SITE)).toEqual([
      'Palette › Dark blue: #1d2433 × 3, line 3',
      'Palette › White: #fdfbf7 × 1, line 3',
      'Palette › Pale grey: #d8d4cb × 1, line 6',
      'Palette › Teal: #0f6b5c × 1, line 11',
      'Text sizes › 18 px: 18px × 1, line 3',
      'Text sizes › 28 px: 28px × 2, line 5',
      'Text sizes › 40 px: 2.5rem × 1, line 5',
      'Spaces › 16 px: 16px × 1, line 6',
      'Spaces › 24 px: 24px × 3, line 4',
      'Spaces › 48 px: 48px × 1, line 9',
      'Corners › 6 px: 6px × 3, line 6',
      'Shadows › Blur 5 px: 0px 1px 5px 0px #00000033 × 2, line 6',
      'Voices › Literata: Literata, Georgia, serif × 2, line 3',
    ]);
  });

  it('counts each colour as often as css-tree 3.2 finds it in colour declarations', () => {
    const theirs = new Map<string, number>();
    walk(parse(SITE), node => {
      if (node.type !== 'Hash') return;
      const color = `#${node.value}`.toLowerCase();
      theirs.set(color, (theirs.get(color) ?? 0) + 1);
    });
    // Those inside the gradient are no colours of their own; two that can hardly be told apart are one.
    expect((theirs.get('#1d2433') ?? 0) + (theirs.get('#1e2534') ?? 0)).toBe(3);
    expect(theirs.get('#0f6b5c')).toBe(1);
    expect(theirs.get('#d8d4cb')).toBe(1);
  });

  it('takes several sheets and pages together, the styles of elements among them', () => {
    const { items, sources } = read(
      ['a.css', 'p { color: #0f6b5c }'],
      [
        'b.html',
        '<!-- <style>x{color:red}</style> --><p\nstyle="color:#0f6b5c; font-family:&quot;Lora&quot;, serif">',
      ],
    );
    expect(items.map(it => [it.record.name, it.uses?.count, it.place?.file, it.place?.line])).toEqual([
      ['Teal', 2, 'a.css', 1],
      ['Lora', 1, 'b.html', 2],
    ]);
    expect(sources.map(it => it.dialect)).toEqual(['Survey of declarations']);
  });

  it('taken twice adds nothing the second time', () => {
    const once = takeIncoming(tiny(), compareIncoming(tiny(), read(['site.css', SITE])));
    const site = must(applyChange(tiny(), { edits: once.edits })).site;
    expect(compareIncoming(site, read(['site.css', SITE])).items.every(it => it.state === 'same')).toBe(true);
  });

  it('of custom properties and declarations proposes only what has no name yet', () => {
    const { items } = read([
      'a.css',
      ':root{--ink:#123456;--gap:8px} p{color:var(--ink);margin:var(--gap) 12px}',
    ]);
    expect(items.map(it => it.name)).toEqual(['--ink', '--gap', 'Spaces 8 px', 'Spaces 12 px']);
  });
});
