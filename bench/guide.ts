import {
  applyChange,
  type Color,
  ciede2000,
  compareIncoming,
  contrastTable,
  generateScheme,
  impactOf,
  labOf,
  literalOf,
  must,
  NO_REBINDS,
  overridesOf,
  parseTokenValue,
  reachIndex,
  type Triple,
  takeIncoming,
  usesOf,
} from '@cove/core';
import { incomingTokens, readTokens } from '@cove/core/incoming';
import { tolvane, tolvaneLarge } from '@cove/core/starters';
import { defineConfig, parse } from '@terrazzo/parser';
import { parse as parseCss } from 'css-tree';
import StyleDictionary from 'style-dictionary';
import { head, limit, median, row } from './statistics';

/** What the guide computes: colours, tokens, schemes, reach and impact. */
const random = (() => {
  let state = 12345;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
})();
const color = (): Color => ({
  space: 'srgb',
  coords: [
    Math.floor(random() * 256) / 255,
    Math.floor(random() * 256) / 255,
    Math.floor(random() * 256) / 255,
  ],
  alpha: 1,
});

/** Runs both in turn, so that what the machine does meanwhile meets both. */
function inTurn(times: number, ours: () => void, floor: () => void): { ours: number; floor: number } {
  const took = { ours: [] as number[], floor: [] as number[] };
  const run = (work: () => void, into: number[]) => {
    const began = performance.now();
    work();
    into.push(performance.now() - began);
  };
  for (let i = 0; i < times; i++) {
    run(floor, took.floor);
    run(ours, took.ours);
  }
  return { ours: median(took.ours), floor: median(took.floor) };
}

/* Contrast: the floor is the same arithmetic on typed arrays of ready luminances' inputs, nothing else. */
const colors = Array.from({ length: 200 }, color);
const flat = Float64Array.from(colors.flatMap(it => [...it.coords]));
function bareContrast(): number {
  const levels = new Float64Array(200);
  const linear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
  for (let i = 0; i < 200; i++)
    levels[i] =
      0.2126 * linear(flat[i * 3] ?? 0) +
      0.7152 * linear(flat[i * 3 + 1] ?? 0) +
      0.0722 * linear(flat[i * 3 + 2] ?? 0);
  let sum = 0;
  for (let i = 0; i < 200; i++)
    for (let j = 0; j < 200; j++) {
      const [a, b] = [levels[i] ?? 0, levels[j] ?? 0];
      sum += (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }
  return sum;
}
const contrasts = inTurn(60, () => contrastTable(colors), bareContrast);

/** CIEDE2000 written out in one loop over typed arrays. */
const many = Array.from({ length: 1000 }, () => labOf(color()));
const few = Array.from({ length: 50 }, () => labOf(color()));
const [A, B] = [Float64Array.from(many.flat()), Float64Array.from(few.flat())];
function bareDistance(): number {
  const R = Math.PI / 180;
  const P = 25 ** 7;
  let sum = 0;
  for (let i = 0; i < 1000; i++)
    for (let j = 0; j < 50; j++) {
      const l1 = A[i * 3] ?? 0;
      const a1 = A[i * 3 + 1] ?? 0;
      const b1 = A[i * 3 + 2] ?? 0;
      const l2 = B[j * 3] ?? 0;
      const a2 = B[j * 3 + 1] ?? 0;
      const b2 = B[j * 3 + 2] ?? 0;
      const m7 = ((Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2) ** 7;
      const g = 1.5 - 0.5 * Math.sqrt(m7 / (m7 + P));
      const x1 = a1 * g;
      const x2 = a2 * g;
      const c1 = Math.sqrt(x1 * x1 + b1 * b1);
      const c2 = Math.sqrt(x2 * x2 + b2 * b2);
      let h1 = Math.atan2(b1, x1) / R;
      let h2 = Math.atan2(b2, x2) / R;
      if (h1 < 0) h1 += 360;
      if (h2 < 0) h2 += 360;
      const d = h2 - h1;
      const turn = d > 180 ? d - 360 : d < -180 ? d + 360 : d;
      const mh =
        Math.abs(d) <= 180 ? (h1 + h2) / 2 : h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
      const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((turn / 2) * R);
      const t =
        1 -
        0.17 * Math.cos((mh - 30) * R) +
        0.24 * Math.cos(2 * mh * R) +
        0.32 * Math.cos((3 * mh + 6) * R) -
        0.2 * Math.cos((4 * mh - 63) * R);
      const ml = (l1 + l2) / 2 - 50;
      const mc = (c1 + c2) / 2;
      const mc7 = mc ** 7;
      const l = (l2 - l1) / (1 + (0.015 * ml * ml) / Math.sqrt(20 + ml * ml));
      const c = (c2 - c1) / (1 + 0.045 * mc);
      const h = dH / (1 + 0.015 * mc * t);
      const away = (mh - 275) / 25;
      const rt = -2 * Math.sqrt(mc7 / (mc7 + P)) * Math.sin(60 * Math.exp(-(away * away)) * R);
      sum += Math.sqrt(l * l + c * c + h * h + rt * c * h);
    }
  return sum;
}
function ourDistance(): number {
  let sum = 0;
  for (const a of many) for (const b of few) sum += ciede2000(a as Triple, b as Triple);
  return sum;
}
const distances = inTurn(30, ourDistance, bareDistance);

console.log(head('Colour'));
console.log(row('contrast of all pairs of 200 colours', contrasts.ours, contrasts.floor, 3));
console.log(row('CIEDE2000 of 1,000 × 50 colours', distances.ours, distances.floor, 3));

/* 2,000 tokens, a third of them aliases up to four deep. */
const file: Record<string, unknown> = {};
const values = Array.from({ length: 2000 }, (_, i) => {
  const depth = i % 10 < 3 && i > 20 ? `{group-${Math.floor((i - 7) / 50)}.token-${i - 7}}` : null;
  const [r, g, b] = color().coords;
  return { $value: depth ?? { colorSpace: 'srgb', components: [r, g, b], alpha: 1 } };
});
for (const [i, value] of values.entries()) {
  const name = `group-${Math.floor(i / 50)}`;
  file[name] = { ...((file[name] as object | undefined) ?? { $type: 'color' }), [`token-${i}`]: value };
}
const text = JSON.stringify(file);
function bareTokens(): number {
  const flatTokens = new Map<string, unknown>();
  const walk = (node: Record<string, unknown>, path: string) => {
    for (const [key, inner] of Object.entries(node)) {
      if (key.startsWith('$') || typeof inner !== 'object' || inner === null) continue;
      const at = path === '' ? key : `${path}.${key}`;
      if ('$value' in inner) flatTokens.set(at, inner.$value);
      else walk(inner as Record<string, unknown>, at);
    }
  };
  walk(JSON.parse(text), '');
  let found = 0;
  for (const value of flatTokens.values()) {
    let at = value;
    while (typeof at === 'string') at = flatTokens.get(at.slice(1, -1));
    if (at) found++;
  }
  return found;
}
function ourTokens(): number {
  const map = incomingTokens(must(readTokens([{ name: 'tokens.json', text }])));
  let found = 0;
  for (const { value } of map.values()) if (literalOf(map, NO_REBINDS, value)) found++;
  return found;
}
const read = inTurn(40, ourTokens, bareTokens);
async function timed(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 3; i++) {
    const began = performance.now();
    await work();
    times.push(performance.now() - began);
  }
  return median(times);
}
const terrazzo = await timed(() =>
  parse([{ filename: new URL('file:///tokens.json'), src: text }], {
    config: defineConfig({}, { cwd: new URL('file:///') }),
  }),
);
const dictionary = await timed(async () => {
  const it = new StyleDictionary(
    { tokens: JSON.parse(text), usesDtcg: true, platforms: { plain: { transforms: [] } } },
    { verbosity: 'silent' },
  );
  await it.getPlatformTokens('plain');
});
console.log(head('Tokens'));
console.log(
  row(`reading and resolving 2,000 tokens, ${Math.round(text.length / 1024)} KB`, read.ours, read.floor, 4),
);
console.log(
  `  beside it: @terrazzo/parser ${terrazzo.toFixed(0)} ms, style-dictionary ${dictionary.toFixed(0)} ms`,
);

/* A style sheet of 500 KB, surveyed. */
const sides = ['margin', 'padding', 'gap'] as const;
let sheet = '';
for (let i = 0; sheet.length < 500_000; i++) {
  const [r, g, b] = color().coords.map(n => Math.round((n * 24) | 0) * 10);
  sheet += `.block-${i} > .part:hover { ${sides[i % 3]}: ${(i % 12) * 4}px ${(i % 7) * 8}px; color: rgb(${r}, ${g}, ${b}); font-size: ${12 + (i % 9) * 2}px; border-radius: ${i % 5}px; box-shadow: 0 ${i % 4}px ${i % 9}px rgba(0, 0, 0, .${1 + (i % 8)}) }\n`;
}
const surveyed = inTurn(
  7,
  () => must(readTokens([{ name: 'site.css', text: sheet }])).items.length,
  () => (parseCss(sheet).type === 'StyleSheet' ? 1 : 0),
);
console.log(
  row(
    `the survey of a style sheet of ${Math.round(sheet.length / 1024)} KB`,
    surveyed.ours,
    surveyed.floor,
    3,
  ),
);

/* A scheme from 40 swatches. */
const forty = Array.from({ length: 40 }, color)
  .map(it => `rgb(${it.coords.map(n => Math.round(n * 255)).join(' ')})`)
  .join('\n');
const bare = tolvane(() => 'abcdef0123456789.webp');
const pasted = takeIncoming(
  bare,
  compareIncoming(bare, must(readTokens([{ name: '', text: forty }])), 'Forty'),
);
const palette = must(applyChange(bare, { edits: pasted.edits })).site;
const solving = pasted.ids.map(surface => {
  const began = performance.now();
  must(generateScheme(palette, 'Made', { surface }));
  return performance.now() - began;
});
console.log(head('Schemes'));
console.log(
  limit(`solving a scheme of all roles, ${palette.kinds.token.size} tokens, median`, median(solving), 50),
);
console.log(limit('the slowest of forty', Math.max(...solving), 50));

/* Reach and impact on the large demo. */
let large = tolvaneLarge(() => 'abcdef0123456789.webp');
const began = performance.now();
reachIndex(large);
const first = performance.now() - began;
const reaches: number[] = [];
const impacts: number[] = [];
const lists: number[] = [];
for (let i = 0; i < 12; i++) {
  const value = must(parseTokenValue(`rgb(${i * 9} 60 120)`, 'color', large.kinds.token));
  const edits = [{ op: 'set', id: 'rope', path: ['value'], value }] as const;
  const times = [performance.now()];
  must(impactOf(large, edits));
  times.push(performance.now());
  large = must(applyChange(large, { edits })).site;
  times.push(performance.now());
  reachIndex(large);
  times.push(performance.now());
  usesOf(large, 'rope');
  times.push(performance.now());
  const at = (n: number) => (times[n + 1] ?? 0) - (times[n] ?? 0);
  impacts.push(at(0));
  reaches.push(at(2));
  lists.push(at(3));
}
console.log(head('Reach and impact on the large demo'));
console.log(limit('the first build of the reach of everything', first, 500));
console.log(limit('the reach of everything after a swatch’s edit', median(reaches), 150));
console.log(limit('every use of one swatch, as a list', median(lists), 150));
console.log(limit('the impact of a swatch’s edit, by page and property', median(impacts), 150));

const listing = inTurn(
  20,
  () => void overridesOf(large),
  () => {},
);
console.log(head('Overrides of the large demo'));
console.log(limit('every value set by hand, listed', listing.ours, 150));
